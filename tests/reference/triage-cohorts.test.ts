/**
 * Triage on imagined groups in which it is known who drops out and when. What people are made of is our own choice, no source:
 * the figures say what the rules find in such groups, and nothing of real ones. They stand in docs/decisions/0050-triage.md.
 */
import { expect, it } from 'vitest';
import { attendanceOf } from '$core/attendance';
import { DEFAULT_HOUSE } from '$core/practice';
import { normal, quantile, seededRandom } from '$core/stats';
import { compareNeed, REASON_KINDS, triage, type Reason } from '$core/triage';
import { HOUR, NOTHING_TOLD, opens, somebody, type Told } from '../support/triage-people';

const GROUPS = 40;
const PEOPLE = 60;
const DAYS = 42;
/** Share of people who drop out; before that, days over which they come less and less. */
const DROP = 0.2;
const FADE = 10;
/** A drop-out is foreseen when somebody is among the first so many within so many days before. */
const FIRST = 10;
const AHEAD = 14;

interface Imagined {
	letters: string;
	told: Record<number, Told>;
	/** The last day on which they may train; null: they stay. */
	drops: number | null;
}

/** Five days a week. Who stays does their usual share, each day by itself; who drops out does ever less of it, ever later. */
function imagine(random: () => number, deviate: () => number): Imagined {
	const usual = 1 / (1 + Math.exp(-(1.8 + 0.8 * deviate())));
	const drops = random() < DROP ? 10 + Math.floor(random() * 28) : null;
	const told: Record<number, Told> = {};
	const letters = Array.from({ length: DAYS }, (_, i) => {
		const day = i + 1;
		const before = drops === null ? FADE : Math.max(0, drops - day);
		const left = Math.min(1, before / FADE);
		told[day] = {
			hours: Math.max(0.2, Math.min(23, 4 + 2 * deviate() + 10 * (1 - left))),
			effort: Math.max(1, Math.min(10, Math.round(7 + deviate() + 1.5 * (1 - left))))
		};
		if (day % 7 === 4 || day % 7 === 0) return 'r';
		const goes = (drops === null || day <= drops) && random() < usual * (0.35 + 0.65 * left);
		return goes ? (random() < 0.2 + 0.4 * (1 - left) ? 'p' : 'd') : 'm';
	}).join('');
	return { letters, told, drops };
}

/** What a coach sees on the morning of a day: days before it are over, and it is open. */
const asOf = ({ letters, told }: Imagined, day: number): Reason[] => {
	const shown =
		letters.slice(0, day - 1) +
		(letters[day - 1] === 'r' ? 'r' : 'o') +
		letters.slice(day).replace(/[^r]/g, 'a');
	const facts = somebody(shown, told);
	const now = opens(day) + HOUR;
	const attendance = attendanceOf(facts.days, { strip: facts.strip, extras: [] }, now);
	return triage(
		{
			...NOTHING_TOLD,
			...facts,
			attendance
		},
		DEFAULT_HOUSE,
		now
	).filter(({ kind }) => REASON_KINDS[kind] === 'retention');
};

it('finds those who will drop out among the first ten, days before they do', () => {
	const random = seededRandom('cohorts');
	const deviate = normal(random);
	let flagged = 0;
	let right = 0;
	let there = 0;
	let soon = 0;
	let best = 0;
	const warning: number[] = [];
	let missed = 0;
	for (let g = 0; g < GROUPS; g++) {
		const group = Array.from({ length: PEOPLE }, () => imagine(random, deviate));
		const first = new Map<Imagined, number>();
		for (let day = 8; day <= DAYS; day++) {
			// Whoever is gone is found by anybody; what counts is who is seen before.
			const still = group.filter(({ drops }) => drops === null || day <= drops);
			const drops = ({ drops: last }: Imagined) => last !== null && last < day + AHEAD;
			there += still.length;
			soon += still.filter(drops).length;
			const seen = still
				.map((one) => ({ one, reasons: asOf(one, day) }))
				.filter(({ reasons }) => reasons.length > 0)
				.sort((a, b) => compareNeed(a.reasons, b.reasons))
				.slice(0, FIRST);
			flagged += seen.length;
			best += Math.min(seen.length, still.filter(drops).length);
			right += seen.filter(({ one }) => drops(one)).length;
			for (const { one } of seen.filter(({ one }) => drops(one))) if (!first.has(one)) first.set(one, day);
		}
		for (const one of group) {
			if (one.drops === null) continue;
			const at = first.get(one);
			if (at === undefined) missed++;
			else warning.push(one.drops - at);
		}
	}
	warning.sort((a, b) => a - b);
	const figures = {
		precision: right / flagged,
		/** Of ten taken by chance. */
		chance: soon / there,
		/** Of those that somebody would name who knew it all. */
		best: best / flagged,
		found: warning.length / (warning.length + missed),
		warning: quantile(warning, 0.5)
	};
	// The same seed, the same figures: as they stand in the decision.
	expect(figures.precision).toBeCloseTo(0.164, 3);
	expect(figures.chance).toBeCloseTo(0.077, 3);
	expect(figures.best).toBeCloseTo(0.5, 3);
	expect(figures.found).toBeCloseTo(0.948, 3);
	expect(figures.warning).toBe(5);
}, 120_000);
