/** An exercise of a session as it suits one person: which variation, and with what load. */
import type { Exercise } from '../exercise';
import { bandsIn, BAND_RANKS, nearestLoad, packsIn, type BandRank, type Kit, type Limitation } from '../kit';
import type { Level } from '../people';
import type { Practice } from '../practice';
import type { Part, Role } from '../session';
import { chosenFor, hasLevels, substitutePart, type Choice } from '../substitution';
import { levelsUnder, shareOf, startingLoad } from './starting-load';

/** What of a person decides what suits them. */
export interface Suits {
	level: Level;
	/** The level that the plan is made for; null: levels are left alone. */
	planFor: Level | null;
	/** What they own; null: not known, whatever it takes. */
	kit: Kit | null;
	/** What must not be asked of them: before everything. */
	limits: readonly Limitation[];
}

export type PartFit =
	| { kind: 'as planned' }
	/** `to` in words: `Wall push-up`, `8 kg`. Without `why` it is filled in where the plan said nothing. */
	| { kind: 'changed'; part: Part; to: string; why: string | null }
	/** Nothing like it can be done. */
	| { kind: 'nothing'; why: string };

/** What is decided already and stays: by the coach for this person. */
export interface Decided {
	exercise?: true;
	load?: true;
}

const AS_PLANNED: PartFit = { kind: 'as planned' };

/**
 * A part as it suits somebody. Hard limits and equipment come first, then the level: whoever is under the level that the plan
 * is made for gets an easier variation where there is one, and less load where there is not.
 *
 * @param byLevel the coach gave the loads by level herself, so that nothing is made easier
 */
export function fitPart(
	part: Part,
	role: Role,
	byLevel: boolean,
	suits: Suits,
	decided: Decided,
	practice: Practice
): PartFit {
	const exercise = practice.library.find(part.exercise);
	if (!exercise) return AS_PLANNED;
	const under = suits.planFor && !byLevel ? levelsUnder(suits.level, suits.planFor) : 0;
	const steps = under > 0 && hasLevels(exercise, role) ? -under : 0;
	const choice = decided.exercise
		? { to: exercise, why: [], steps: 0 }
		: choiceFor(part, exercise, steps, suits, practice);
	if (!choice.to)
		return {
			kind: 'nothing',
			why: [...choice.why, 'nothing like it is safe with what is at hand'].join('; ')
		};
	const eased = choice.to !== exercise;
	const next = eased ? substitutePart(part, choice.to, practice) : part;
	const load = decided.load ? null : loadFor(next, choice.to, suits, eased ? 0 : under);
	const fitted = load ? load.part : next;
	if (eased) {
		const to = load?.to ? `${choice.to.name}, ${load.to}` : choice.to.name;
		return { kind: 'changed', part: fitted, to, why: whyText(choice, suits.level) };
	}
	return load ? { kind: 'changed', part: fitted, to: load.to, why: load.why } : AS_PLANNED;
}

/** In one line: `no floor; two steps easier`, `beginner: one step easier`. */
const whyText = ({ why, steps }: { why: string[]; steps: number }, level: Level): string =>
	`${steps > 0 ? `${level}: ` : ''}${why.join('; ')}`;

/** What somebody does in place of an exercise is the same in every session, unless the coach named something for it there. */
const known = new WeakMap<Suits, WeakMap<Practice['library'], Map<string, Choice>>>();

function choiceFor(part: Part, exercise: Exercise, steps: number, suits: Suits, practice: Practice): Choice {
	if (part.instead) return chosenFor(part, exercise, steps, suits, practice);
	const byLibrary = known.get(suits) ?? new WeakMap<Practice['library'], Map<string, Choice>>();
	known.set(suits, byLibrary);
	const choices = byLibrary.get(practice.library) ?? new Map<string, Choice>();
	byLibrary.set(practice.library, choices);
	const key = `${steps} ${exercise.name}`;
	const choice = choices.get(key) ?? chosenFor(part, exercise, steps, suits, practice);
	choices.set(key, choice);
	return choice;
}

interface LoadFit {
	part: Part;
	to: string;
	why: string | null;
}

/** The load that somebody does a part with; null: as it is. */
function loadFor(part: Part, exercise: Exercise, suits: Suits, under: number): LoadFit | null {
	if (part.kg !== null) return kgFor(part, part.kg, exercise, suits, under);
	if (part.resistance) return bandFor(part, suits.kit);
	if (!suits.kit) return null;
	const begin = startingLoad(exercise, { level: suits.level, kit: suits.kit })?.load;
	if (begin?.kind === 'kg') return { part: { ...part, kg: begin.kg }, to: `${begin.kg} kg`, why: null };
	if (begin?.kind === 'band' && begin.rank)
		return { part: { ...part, resistance: `${begin.rank} band` }, to: `${begin.rank} band`, why: null };
	return null;
}

const half = (kg: number): number => Math.max(0.5, Math.round(kg * 2) / 2);

function kgFor(part: Part, planned: number, exercise: Exercise, suits: Suits, under: number): LoadFit | null {
	const wanted = under > 0 && suits.planFor ? planned * shareOf(suits.level, suits.planFor) : planned;
	const less = wanted < planned ? 'less to begin with' : null;
	const given = (kg: number, why: string): LoadFit | null =>
		kg === planned ? null : { part: { ...part, kg }, to: `${kg} kg`, why };
	if (!suits.kit) return less ? given(half(wanted), less) : null;
	const needed = exercise.equipment.find(({ item }) => /dumbbell/.test(item))?.count ?? 1;
	const packs = packsIn(suits.kit);
	const takesPack = exercise.equipment.some(({ item }) => item === 'loaded backpack');
	const count = Math.max(needed, part.weights ?? 1);
	const own = takesPack ? null : nearestLoad(suits.kit, wanted, count);
	const kg = own ?? packs.findLast((one) => one <= wanted) ?? packs[0] ?? null;
	if (kg !== null) {
		const why = kg > wanted ? 'the lightest at hand' : (less ?? 'the heaviest at hand up to what is asked');
		const { weights: _weights, ...single } = part;
		const fits = own === null && part.weights ? given(kg, why) && { ...single, kg } : null;
		return fits ? { part: fits, to: `${kg} kg`, why } : given(kg, why);
	}
	// Known by its name only: a backpack of which nobody said what is in it.
	if (takesPack) return null;
	const { weights: _weights, ...bare } = part;
	return { part: { ...bare, kg: null }, to: 'without a weight', why: 'no weight at hand' };
}

/** A band as near as there is to the one asked for: of the same rank, the next lighter one, or the lightest. */
function bandFor(part: Part, kit: Kit | null): LoadFit | null {
	const wanted = BAND_RANKS.find((rank) => part.resistance === `${rank} band`);
	const own = kit && bandsIn(kit);
	if (!wanted || !own || own.length === 0 || own.includes(wanted)) return null;
	const lighter = BAND_RANKS.slice(0, BAND_RANKS.indexOf(wanted)).findLast((rank) => own.includes(rank));
	const rank: BandRank | undefined = lighter ?? own[0];
	return rank
		? { part: { ...part, resistance: `${rank} band` }, to: `${rank} band`, why: 'the band at hand' }
		: null;
}
