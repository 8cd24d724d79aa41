import type { Phrase, PhraseKind } from './phrase';

type Rest = Phrase<'rest'>;

/**
 * What a line says about something, to be taken out phrase by phrase: what nobody took was not understood, and is
 * reported as such.
 */
export class Said {
	private readonly left: Phrase[];
	private readonly takenKinds = new Set<PhraseKind>();
	/** The word that names the format, where one does. */
	keyword: string | null = null;

	/** @param elsewhere where to look as well: what is said of the only exercise is said of its block */
	constructor(
		phrases: readonly Phrase[],
		private readonly elsewhere: Said | null = null
	) {
		this.left = [...phrases];
	}

	/** Takes the first phrase of a kind; null without one. */
	take<K extends PhraseKind>(kind: K, fits: (phrase: Phrase<K>) => boolean = () => true): Phrase<K> | null {
		const at = this.left.findIndex((phrase) => phrase.kind === kind && fits(phrase as Phrase<K>));
		if (at < 0) return this.elsewhere?.take(kind, fits) ?? null;
		this.takenKinds.add(kind);
		return this.left.splice(at, 1)[0] as Phrase<K>;
	}

	/** Has something said that was concluded from the rest. */
	add(phrase: Phrase): void {
		this.left.push(phrase);
	}

	/** Whether there is a phrase of a kind, without taking it. */
	has(kind: PhraseKind): boolean {
		return this.left.some((phrase) => phrase.kind === kind) || (this.elsewhere?.has(kind) ?? false);
	}

	/** What was not taken, and whether something of its kind was. */
	leftover(): { phrase: Phrase; again: boolean }[] {
		return this.left.map((phrase) => ({ phrase, again: this.takenKinds.has(phrase.kind) }));
	}

	/** How often, in sets or rounds. */
	times(): number | null {
		return this.take('times')?.count ?? null;
	}

	/** A length of time in seconds; a bare number is of the unit given. */
	seconds(bare: 'min' | 's'): number | null {
		const found = this.take(
			'amount',
			({ each, unit }) => each.length === 1 && (unit === 'seconds' || unit === null)
		);
		const [span] = found?.each ?? [];
		if (!found || !span) return null;
		return span.low * (found.unit === null && bare === 'min' ? 60 : found.by);
	}

	/** Seconds of rest, of those that are said to stand at one of these places. */
	rest(...places: Rest['where'][]): number | null {
		return this.take('rest', ({ low, high, where }) => low === high && places.includes(where))?.low ?? null;
	}

	/** Seconds of a limit; up to sixty without a unit are minutes. */
	limit(): number | null {
		const found = this.take('limit');
		if (!found) return null;
		return found.bare && found.seconds <= 60 ? found.seconds * 60 : found.seconds;
	}

	/** Seconds on and off. */
	slot(): Phrase<'slot'> | null {
		return this.take('slot');
	}
}
