/** What holds for everyone and every exercise, tried on random people and lines. */
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { RATED, type Exercise, type Rated } from '../exercise';
import {
	CONDITIONS,
	LIMITATIONS,
	LIMITS,
	readKit,
	withinLimits,
	canDoWith,
	limitsOf,
	type Limitation
} from '../kit';
import { LEVELS } from '../people';
import { amountOf, targetOf, wholeSeconds, type Part } from '../session';
import { seededRandom } from '../stats';
import { fitPart, type FitProfile, type PartFit } from '.';

const CASES = process.env.FEW_RUNS === '1' ? 5_000 : 100_000;
const PIECES = [
	'mat',
	'light band',
	'medium band',
	'heavy band',
	'loop band',
	'pair of dumbbells 3 kg',
	'pair of dumbbells 4 kg',
	'pair of dumbbells 8 kg',
	'dumbbell 9 kg',
	'pair of dumbbells 12 kg',
	'dumbbell 40 kg',
	'kettlebell 16 kg',
	'2 x adjustable dumbbell 2-24 kg, steps of 2 kg',
	'backpack 10 kg',
	'backpack',
	'step',
	'pull-up bar',
	'rope'
].map((text) => readKit(text).kit);

const { library } = PRACTICE;
const exercises = library.all.filter(({ retired }) => !retired);

/** Random people and parts, the same at every run. */
function* cases(seed: string) {
	const draw = seededRandom(seed);
	const pick = <T>(all: readonly T[]): T => all[Math.floor(draw() * all.length)] as T;
	const some = <T>(all: readonly T[], share: number): T[] => all.filter(() => draw() < share);
	for (let i = 0; i < CASES; i++) {
		const exercise = pick(exercises);
		const load = exercise.demands.relativeLoad;
		const part: Part = {
			exercise: exercise.name,
			target: targetOf(exercise.countedIn, exercise.countedIn === 'reps' ? 4 + Math.floor(draw() * 16) : 30),
			perSide: exercise.perSide,
			tempo: null,
			kg: load !== null && draw() < 0.7 ? Math.max(1, Math.round(load * (6 + draw() * 14))) : null
		};
		const kit = some(PIECES, 0.2).flat();
		const profile: FitProfile = {
			level: pick(LEVELS),
			planFor: draw() < 0.8 ? pick(LEVELS) : null,
			kit,
			limits: [...new Set([...some(CONDITIONS, 0.08).flatMap(limitsOf), ...some(LIMITATIONS, 0.05)])]
		};
		yield { exercise, part, profile, draw, pick };
	}
}

const place = { role: 'main', timed: false, byLevel: false, taken: new Set<string>() } as const;
const fit = (part: Part, profile: FitProfile): PartFit => fitPart(part, place, profile, {}, PRACTICE);
const given = (part: Part, found: PartFit): Part | null =>
	found.kind === 'nothing' ? null : found.kind === 'changed' ? found.part : part;
const doneIn = (part: Part): Exercise => library.find(part.exercise)!;
const say = (part: Part, profile: FitProfile) =>
	`${part.exercise} @ ${part.kg} for ${JSON.stringify(profile)}`;

/** What each law says of a case; true if it holds. */
interface Case {
	exercise: Exercise;
	part: Part;
	profile: FitProfile;
	/** Null where nothing is left. */
	own: Part | null;
	draw: () => number;
	pick: <T>(all: readonly T[]) => T;
}
const sparing = LIMITATIONS.filter((limit) => LIMITS[limit].threshold.most && limit !== 'gentle all over');
const SPACES = ['spot', 'room', 'stairs', 'outdoors'];
const fitted = (part: Part, profile: FitProfile) => given(part, fit(part, profile));

const LAWS: Readonly<Record<string, (one: Case) => boolean>> = {
	'nothing breaks a limit, and nothing is asked for that is not there': ({ own, profile }) =>
		!own || (withinLimits(doneIn(own), profile.limits) && canDoWith(profile.kit, doneIn(own))),

	'one more limit never raises a demand on what it spares': ({ part, profile, own, pick }) => {
		const more: Limitation = pick(sparing);
		const after = fitted(part, { ...profile, limits: [...profile.limits, more] });
		if (!after) return true;
		const spared = Object.keys(LIMITS[more].threshold.most ?? {}) as Rated[];
		return spared.every((field) => doneIn(after).demands[field] <= (own ? doneIn(own).demands[field] : 1));
	},

	'less equipment never means a heavier load, unless fewer repetitions keep the effort': ({
		part,
		profile,
		own,
		draw
	}) => {
		const after = fitted(part, { ...profile, kit: profile.kit?.filter(() => draw() < 0.6) ?? [] });
		if (!own || after?.exercise !== own.exercise || own.kg === null || after.kg === null) return true;
		return after.kg <= own.kg || amountOf(after.target) < amountOf(part.target);
	},

	'a load above the planned one always comes with fewer repetitions': ({ part, own }) =>
		!own ||
		part.kg === null ||
		own.kg === null ||
		own.kg <= part.kg ||
		amountOf(own.target) < amountOf(part.target),

	'an easier level never means a higher load of the same exercise': ({ part, profile, own }) => {
		const lower = LEVELS[LEVELS.indexOf(profile.level) - 1];
		const after = lower && fitted(part, { ...profile, level: lower });
		if (!own || after?.exercise !== own.exercise) return true;
		return own.kg === null || after.kg === null || after.kg <= own.kg;
	},

	'a substitute takes no more than a tenth longer, and fits the space': ({ part, exercise, own }) => {
		if (!own || own.exercise === part.exercise) return true;
		const isShort = amountOf(own.target) <= (own.target.kind === 'reps' ? 3 : 10);
		return (
			SPACES.indexOf(doneIn(own).demands.space) <= SPACES.indexOf(exercise.demands.space) &&
			(isShort || wholeSeconds(own, PRACTICE) <= wholeSeconds(part, PRACTICE) * 1.1 + 1e-6)
		);
	},

	'the same person gets the same, in whatever order their limits are told': ({ part, profile, own, draw }) =>
		draw() > 0.1 ||
		JSON.stringify(fitted(part, { ...profile, limits: [...profile.limits].reverse() })) ===
			JSON.stringify(own)
};

describe('for everyone', () => {
	const wrong = new Map(Object.keys(LAWS).map((law) => [law, [] as string[]]));
	for (const { exercise, part, profile, draw, pick } of cases('laws')) {
		const one: Case = { exercise, part, profile, own: fitted(part, profile), draw, pick };
		for (const [law, holds] of Object.entries(LAWS))
			if (!holds(one)) wrong.get(law)?.push(say(part, profile));
	}
	it.each(Object.keys(LAWS))('%s', (law) => expect(wrong.get(law)?.slice(0, 5)).toEqual([]));
});

it('every exercise has its demands within the scale', () => {
	for (const { name, demands } of exercises)
		for (const field of RATED) expect([0, 1, 2, 3], `${name}: ${field}`).toContain(demands[field]);
});
