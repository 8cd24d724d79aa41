import { needWords, type Item, type Need } from '../exercise';
import type { Practice } from '../practice';
import { loadsOf } from './loads';
import type { Session } from './model';

/** One thing to have within reach, how many of it at once, and the loads it is asked for. */
export interface ReadyItem {
	item: Item;
	count: number;
	/** Kilograms, ascending; empty where no load is given. */
	kg: number[];
	/** How many of each load, in the order of `kg`. */
	perLoad: number[];
}

const HELD: Need = { item: 'dumbbell', count: 1 };
const LOADED: readonly Item[] = ['dumbbell', 'light dumbbell', 'loaded backpack', 'water bottle'];

/** What a session needs, each thing once, by name; water apart. */
export function equipmentOf(session: Session, { library }: Pick<Practice, 'library'>): ReadyItem[] {
	const found = new Map<Item, { count: number; loads: Map<number, number> }>();
	for (const part of session.blocks.flatMap((block) => block.parts)) {
		const known = library.find(part.exercise);
		const needs = known?.equipment ?? [];
		// A load on an exercise that needs none by itself is held in the hands.
		const held = known && part.kg !== null && !needs.some(({ item }) => LOADED.includes(item));
		for (const { item, count } of held ? [...needs, HELD] : needs) {
			const seen = found.get(item) ?? { count: 0, loads: new Map<number, number>() };
			seen.count = Math.max(seen.count, count, LOADED.includes(item) ? (part.weights ?? 1) : 1);
			for (const kg of LOADED.includes(item) ? loadsOf(part) : [])
				seen.loads.set(kg, Math.max(seen.loads.get(kg) ?? 0, count, part.weights ?? 1));
			found.set(item, seen);
		}
	}
	return [...found]
		.map(([item, { count, loads }]) => {
			const sorted = [...loads].sort(([a], [b]) => a - b);
			return { item, count, kg: sorted.map(([kg]) => kg), perLoad: sorted.map(([, n]) => n) };
		})
		.sort((a, b) => a.item.localeCompare(b.item, 'en'));
}

/** The same in words: `dumbbells: 2 of 8 kg, 1 of 12 kg`, `mat`; water last. */
export function haveReady(session: Session, practice: Pick<Practice, 'library'>): string[] {
	const items = equipmentOf(session, practice).map(({ item, count, kg, perLoad }) => {
		const [only, ...more] = kg;
		if (only === undefined) return needWords({ item, count });
		if (more.length === 0) return `${needWords({ item, count: perLoad[0] ?? 1 })} of ${only} kg`;
		const loads = kg.map((load, i) => `${perLoad[i]} of ${load} kg`).join(', ');
		return `${needWords({ item, count: 2 }).replace(/^\d+ /, '')}: ${loads}`;
	});
	return [...items, 'water'];
}
