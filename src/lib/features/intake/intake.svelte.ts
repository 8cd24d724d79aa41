/** The questions before the start as they are answered: kept on the device at once, sent when there is a connection. */
import { readAs } from '$contracts/read';
import { SECTION_SCHEMAS, type IntakeSections } from '$contracts/intake';
import { SCREEN_KEYS, type AgeBand, type HealthAnswers, type ScreenKey, type Screening } from '$core/health';
import type { Owned, Units } from '$core/kit';
import {
	CONSENT,
	INTAKE_SECTIONS,
	type IntakeSection,
	type Expecting,
	type Level,
	type WeightsUsed
} from '$core/people';

/** Answers under way: what is not answered yet is null. */
export interface Answers {
	you: { displayName: string; zone: string; hour: string; units: Units };
	training: {
		level: Level | null;
		weights: WeightsUsed | null;
		active: boolean | null;
		minutes: number | null;
		goals: string;
	};
	kit: { none: boolean; owned: Owned[]; other: string };
	body: {
		age: AgeBand | null;
		stance: HealthAnswers['stance'] | null;
		balance: HealthAnswers['balance'] | null;
		floor: HealthAnswers['floor'] | null;
		hurts: { place: HealthAnswers['hurts'][number]['place']; how: HealthAnswers['hurts'][number]['how'] }[];
		hurtsElsewhere: string;
		expecting: Expecting | null;
		pregnantWeek: number | null;
		birthWeeks: number | null;
	};
	health: Record<ScreenKey, boolean | null>;
	consent: { agreed: boolean; version: number };
}

/** Sections as the server has them. */
export type Sections = { [Name in IntakeSection]?: IntakeSections[Name] };

/** What came of sending everything. */
export type Sent =
	{ screening: Screening } | { faults: { field: string; message: string }[]; message: string } | null;

/** How answers are sent; null: there was no connection. */
export interface Sender {
	section(name: IntakeSection, answers: unknown): Promise<{ ok: boolean } | null>;
	all(id: string, sections: Record<string, unknown>): Promise<Sent>;
}

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** Answers with those that the server has, the rest open. */
export function answersFrom(sections: Sections, zone: string): Answers {
	const { you, training, kit, body, health } = sections;
	return {
		you: { displayName: '', zone, hour: '', units: 'kg', ...you },
		training: {
			level: null,
			weights: null,
			active: null,
			minutes: null,
			...training,
			goals: training?.goals ?? ''
		},
		kit: { none: false, owned: [], other: '', ...(kit as Answers['kit'] | undefined) },
		body: {
			age: null,
			stance: null,
			balance: null,
			floor: null,
			hurts: [],
			expecting: null,
			pregnantWeek: null,
			birthWeeks: null,
			...body,
			hurtsElsewhere: body?.hurtsElsewhere ?? ''
		},
		health: {
			...(Object.fromEntries(SCREEN_KEYS.map((key) => [key, null])) as Record<ScreenKey, null>),
			...health
		},
		consent: { agreed: false, version: CONSENT.version }
	};
}

/** What is kept on the device. */
interface Kept {
	answers: Answers;
	step: number;
	/** Set once everything was given for sending. */
	sendId: string | null;
}

export class IntakeForm {
	answers: Answers = $state() as Answers;
	step = $state(0);
	/** What is wrong in the section shown, by field. */
	faults: Record<string, string> = $state({});
	/** Whether the last try to send found no connection. */
	offline = $state(false);
	sending = $state(false);
	/** Everything is answered and waits to be sent. */
	waiting = $state(false);
	refused: string | null = $state(null);
	screening: Screening | null = $state(null);
	private sendId: string | null = null;
	/** The answers that the server has, as they began. */
	private readonly begun: string;

	constructor(
		sections: Sections,
		zone: string,
		private readonly key: string,
		private readonly sender: Sender,
		private readonly store: Store | null,
		private readonly newId: () => string,
		/** Whether to begin where somebody stopped. */
		goesOn: boolean
	) {
		this.answers = answersFrom(sections, zone);
		this.begun = JSON.stringify($state.snapshot(this.answers));
		const kept = this.read();
		if (kept) {
			this.answers = kept.answers;
			this.step = kept.step;
			this.sendId = kept.sendId;
			this.waiting = kept.sendId !== null;
		} else if (goesOn) this.step = this.firstOpen(sections);
	}

	get section(): IntakeSection {
		return INTAKE_SECTIONS[this.step] ?? 'you';
	}

	/** The first section that nobody has answered; the first of all where all are, to look them over. */
	private firstOpen(sections: Sections): number {
		const open = INTAKE_SECTIONS.findIndex((name) => name !== 'consent' && name !== 'you' && !sections[name]);
		return open > 0 && sections.training ? open : 0;
	}

	private read(): Kept | null {
		try {
			const kept = JSON.parse(this.store?.getItem(this.key) ?? 'null') as Kept | null;
			return kept && INTAKE_SECTIONS.every((name) => name in kept.answers) ? kept : null;
		} catch {
			return null;
		}
	}

	/** Keeps all answers on the device once one of them has changed: what is only looked at is read from the server again. */
	keepChange(): void {
		if (JSON.stringify($state.snapshot(this.answers)) !== this.begun) this.keep();
	}

	private keep(): void {
		const kept: Kept = {
			answers: $state.snapshot(this.answers),
			step: this.step,
			sendId: this.sendId
		};
		try {
			this.store?.setItem(this.key, JSON.stringify(kept));
		} catch {
			// Without room on the device the answers are still on the page and go to the server section by section.
		}
	}

	/** Judges a section by its contract. @returns its value; null with faults to show */
	private judge(name: IntakeSection): unknown {
		const given: unknown = $state.snapshot(this.answers[name]);
		const { value, faults } = readAs(SECTION_SCHEMAS[name] as (typeof SECTION_SCHEMAS)['you'], given);
		this.faults = Object.fromEntries((faults ?? []).map(({ field, message }) => [field, message]));
		return value;
	}

	/** Goes on to the next section, once this one is answered. */
	async next(): Promise<void> {
		const value = this.judge(this.section);
		if (value === null) return;
		const name = this.section;
		if (this.step === INTAKE_SECTIONS.length - 1) return this.finish();
		this.step++;
		this.keep();
		const sent = await this.sender.section(name, value);
		this.offline = sent === null;
	}

	/** Goes back, by one section if none is said. */
	back(to = this.step - 1): void {
		this.faults = {};
		this.step = Math.max(0, to);
		this.keepChange();
	}

	/** Gives everything for sending; what finds no connection waits on the device. */
	private async finish(): Promise<void> {
		for (const [i, name] of INTAKE_SECTIONS.entries())
			if (this.judge(name) === null) {
				this.step = i;
				return;
			}
		this.sendId ??= this.newId();
		this.waiting = true;
		this.keep();
		await this.send();
	}

	/** Sends what waits; nothing happens without. Sending the same twice counts once. */
	async send(): Promise<void> {
		if (!this.waiting || this.sendId === null || this.sending) return;
		this.sending = true;
		const sent = await this.sender.all(this.sendId, $state.snapshot(this.answers));
		this.sending = false;
		this.offline = sent === null;
		if (sent === null) return;
		this.waiting = false;
		if ('screening' in sent) {
			this.screening = sent.screening;
			this.store?.removeItem(this.key);
			return;
		}
		this.sendId = null;
		this.refused = sent.message;
		this.faults = Object.fromEntries(sent.faults.map(({ field, message }) => [field, message]));
		this.keep();
	}
}

/** Sends to an address of ours: a section with PUT, everything with POST. */
export function senderTo(url: string): Sender {
	const ask = async (method: string, body: unknown): Promise<Response | null> => {
		try {
			return await fetch(url, {
				method,
				headers: { 'content-type': 'application/json', accept: 'application/json' },
				body: JSON.stringify(body)
			});
		} catch {
			return null;
		}
	};
	return {
		async section(section, answers) {
			const response = await ask('PUT', { section, answers });
			return response && { ok: response.ok };
		},
		async all(id, sections) {
			const response = await ask('POST', { id, sections });
			if (!response) return null;
			// A server that is away for a moment is as good as no connection.
			if (response.status >= 502) return null;
			const said = (await response.json()) as unknown;
			if (response.ok) return said as { screening: Screening };
			const { message, faults } = said as { message?: string; faults?: { field: string; message: string }[] };
			return { message: message ?? 'It was not taken.', faults: faults ?? [] };
		}
	};
}
