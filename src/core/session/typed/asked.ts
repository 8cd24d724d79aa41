import type { Phrase } from '../phrase/phrase';

/** What could stand in place of a stretch that was not understood. */
export interface Offer {
	label: string;
	text: string;
}

/** A stretch of the line that was not understood, from and to in characters. */
export interface LineFault {
	from: number;
	to: number;
	message: string;
	offers?: Offer[];
}

/** Letters of a stretch that are repeated in a message. */
const QUOTED_LETTERS = 60;

/** A stretch as a message repeats it. */
export const quote = (text: string): string =>
	`“${text.length > QUOTED_LETTERS ? `${text.slice(0, QUOTED_LETTERS)}…` : text}”`;

export const DROP = 'a drop is written as drop 2 x 20% on last (or on every)';

/** What has to be asked of a line, collected. */
export class Asked {
	readonly faults: LineFault[] = [];

	constructor(private readonly line: string) {}

	at(from: number, to: number, message: string, offers: Offer[] = []): void {
		this.faults.push({ from, to: Math.max(to, from + 1), message, ...(offers.length > 0 && { offers }) });
	}
	/** About phrases that stand side by side. */
	of(phrases: readonly Phrase[], message: string, offers: Offer[] = []): void {
		this.at(phrases[0]?.from ?? 0, phrases.at(-1)?.to ?? 1, message, offers);
	}
	/** About the line as a whole. */
	ofAll(message: string): void {
		const lead = this.line.length - this.line.trimStart().length;
		this.at(lead, this.line.trimEnd().length, message);
	}
}
