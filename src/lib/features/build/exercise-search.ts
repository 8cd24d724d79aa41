import MiniSearch from 'minisearch';
import type { Exercise, Library, Muscle, Pattern } from '$core/exercise';

export interface Wanted {
	text?: string;
	pattern?: Pattern | '';
	muscle?: Muscle | '';
	/** Only what can be done with this: an item, or `none` for nothing at all. */
	equipment?: string;
	position?: string;
	impact?: string;
	/** `one` or `both` sides. */
	sides?: string;
	/** The demand as text, 0 to 2. */
	balance?: string;
	countedIn?: string;
	own?: boolean;
}

interface Entry {
	id: number;
	name: string;
	words: string;
	cues: string;
}

/** Finds exercises by their name, forgiving a slip or two, and by everything that is known of them. */
export class ExerciseSearch {
	private readonly index: MiniSearch<Entry>;
	private readonly all: readonly Exercise[];

	constructor(library: Library) {
		this.all = library.all.filter((exercise) => !exercise.retired);
		this.index = new MiniSearch<Entry>({
			fields: ['name', 'words', 'cues'],
			searchOptions: {
				boost: { name: 4, cues: 0.3 },
				prefix: true,
				fuzzy: (term) => (term.length > 3 ? 0.25 : false),
				combineWith: 'AND'
			}
		});
		this.index.addAll(
			this.all.map((e, id) => ({
				id,
				name: e.name,
				cues: [...e.cues, ...e.cautions].join(' '),
				words: [
					...e.formerly,
					e.pattern,
					...e.primary,
					...e.assisting,
					...e.equipment.map((need) => need.item),
					e.position,
					library.progressionOf(e.name)?.progression ?? ''
				].join(' ')
			}))
		);
	}

	/** The best first; without text in the order of the library. */
	find(wanted: Wanted, most = Infinity): Exercise[] {
		const text = wanted.text?.trim() ?? '';
		const ranked = text ? this.index.search(text).map(({ id }) => this.all[id as number]) : this.all;
		const found: Exercise[] = [];
		for (const exercise of ranked) {
			if (!exercise || !fits(exercise, wanted)) continue;
			found.push(exercise);
			if (found.length >= most) break;
		}
		return found;
	}
}

function fits(e: Exercise, w: Wanted): boolean {
	if (w.pattern && e.pattern !== w.pattern) return false;
	if (w.muscle && !e.primary.includes(w.muscle) && !e.assisting.includes(w.muscle)) return false;
	if (
		w.equipment === 'none'
			? e.equipment.length > 0
			: w.equipment && !e.equipment.some((need) => need.item === w.equipment)
	)
		return false;
	if (w.position && e.position !== w.position) return false;
	if (w.impact && e.demands.impact !== w.impact) return false;
	if (w.sides && e.perSide !== (w.sides === 'one')) return false;
	if (w.balance && e.demands.balance !== Number(w.balance)) return false;
	if (w.countedIn && e.countedIn !== w.countedIn) return false;
	return !w.own || e.ownId !== null;
}
