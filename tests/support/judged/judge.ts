/** Judges what everyone gets of some sessions, and counts what a careful coach would object to. */
import { personalSession } from '$core/day';
import type { Practice } from '$core/practice';
import { formatOf, sessionSeconds, wholeSeconds, type Part, type Session } from '$core/session';
import type { Judged } from './people';
import { isOutside, isUnsuitable, MOST_SQUAT, shareOfSquat } from './rules';

export const FAULTS = [
	'too heavy',
	'unsuitable',
	'left out',
	'repeated',
	'out of place',
	'part longer',
	'session longer'
] as const;
export type Fault = (typeof FAULTS)[number];

export interface Verdict {
	exercises: number;
	sessions: number;
	counts: Record<Fault, number>;
	/** Some of each, in words, for whoever mends them. */
	examples: Record<Fault, string[]>;
}

/** Epley's one-repetition maximum as the program should keep it: w(1 + r/30). */
const effort = (kg: number, reps: number): number => kg * (1 + reps / 30);

function isTooHeavy(planned: Part, got: Part, { level }: Judged): boolean {
	if (got.kg === null) return false;
	const most = MOST_SQUAT[level] * shareOfSquat(got.exercise);
	if (planned.kg === null) return got.kg > most;
	const repsOf = (part: Part) => (part.target.kind === 'reps' ? part.target.reps : 12);
	const wanted =
		got.exercise === planned.exercise
			? planned.kg
			: Math.min(
					planned.kg * (shareOfSquat(got.exercise) / shareOfSquat(planned.exercise)) * 1.2,
					most * 1.2
				);
	if (got.kg <= wanted) return false;
	return (
		repsOf(got) >= repsOf(planned) || effort(got.kg, repsOf(got)) > effort(wanted, repsOf(planned)) * 1.02
	);
}

export function judge(
	sessions: ReadonlyMap<string, Session>,
	people: readonly Judged[],
	practice: Practice,
	canDoAnything: (exercise: string, person: Judged) => boolean
): Verdict {
	const zero = <T>(make: () => T) =>
		Object.fromEntries(FAULTS.map((fault) => [fault, make()])) as Record<Fault, T>;
	const verdict: Verdict = { exercises: 0, sessions: 0, counts: zero(() => 0), examples: zero(() => []) };
	for (const [name, planned] of sessions)
		for (const person of people) {
			const { profile, kit, level, condition } = person;
			const who = `${name} · ${kit} · ${level} · ${condition}`;
			const object = (fault: Fault, text: string) => {
				verdict.counts[fault]++;
				const known = verdict.examples[fault];
				if (known.length < 400) known.push(`${who}: ${text}`);
			};
			const own = personalSession(planned, 1, { profile, overrides: [] }, practice);
			verdict.sessions++;
			const got = new Map(
				(own?.session.blocks ?? []).flatMap((block, b) => {
					const at = own?.places[b] ?? b;
					const asked = own?.asked.filter(({ block: place }) => place === at) ?? [];
					return block.parts.map((part) => {
						const place = asked.find(({ exercise }) => exercise === part.exercise)?.part ?? 0;
						return [`${at}.${place}`, { part, block }] as const;
					});
				})
			);
			planned.blocks.forEach((block, b) => {
				const names = new Map<string, number>();
				const timed = formatOf(block).target !== undefined;
				const plannedNames = new Set(block.parts.map(({ exercise }) => exercise));
				block.parts.forEach((part, p) => {
					verdict.exercises++;
					const found = got.get(`${b}.${p}`)?.part;
					if (!found) {
						if (canDoAnything(part.exercise, person)) object('left out', part.exercise);
						return;
					}
					const text = `${part.exercise} ${part.kg ?? ''} → ${found.exercise} ${found.kg ?? found.resistance ?? ''}`;
					if (isTooHeavy(part, found, person))
						object('too heavy', `${text} × ${JSON.stringify(found.target)}`);
					if (isUnsuitable(found.exercise, condition)) object('unsuitable', text);
					if (isOutside(found.exercise) && !isOutside(part.exercise)) object('out of place', text);
					names.set(found.exercise, (names.get(found.exercise) ?? 0) + 1);
					if (
						found.exercise !== part.exercise &&
						(names.get(found.exercise)! > 1 || plannedNames.has(found.exercise))
					)
						object('repeated', text);
					if (
						!timed &&
						found !== part &&
						wholeSeconds(found, practice) > wholeSeconds(part, practice) * 1.1 + 5
					)
						object('part longer', text);
				});
			});
			if (own && sessionSeconds(own.session, practice) > sessionSeconds(planned, practice) * 1.15 + 60)
				object('session longer', `${sessionSeconds(own.session, practice)} s`);
		}
	return verdict;
}
