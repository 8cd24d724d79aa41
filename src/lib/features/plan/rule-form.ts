import type { ResolvedPlan, RuleTarget } from '$core/plan';

/** Something that a rule can be about. */
export interface Choice {
	label: string;
	on: RuleTarget;
	/** Whether it comes with repetitions and a load, for which most rules are made. */
	loaded?: boolean;
}

/** Everything in a plan that a rule can be about: its exercises, its sessions, their blocks. */
export function choicesOf(resolved: ResolvedPlan): { group: string; choices: Choice[] }[] {
	const used = [
		...new Set(resolved.days.flatMap(({ session, evening }) => [session ?? [], evening ?? []].flat()))
	];
	const sessions = used.flatMap((key) => resolved.sessions.get(key) ?? []);
	const exercises = new Map<string, boolean>();
	for (const { body } of sessions)
		for (const block of body.blocks)
			if (block.role === 'main')
				for (const { exercise, target, kg } of block.parts)
					exercises.set(exercise, exercises.get(exercise) || (target.kind === 'reps' && kg !== null));
	return [
		{
			group: 'An exercise, wherever it comes',
			choices: [...exercises]
				.sort(([a], [b]) => a.localeCompare(b, 'en'))
				.map(([exercise, loaded]) => ({ label: exercise, on: { exercise }, loaded }))
		},
		{
			group: 'The main work of a session',
			choices: sessions.map(({ key, of, name }) => ({ label: name, on: { session: of ?? key } }))
		},
		{
			group: 'A block of a session',
			choices: sessions.flatMap(({ key, of, name, body }) =>
				body.blocks.flatMap((block, b) =>
					block.role === 'main'
						? [
								{
									label: `${name}, block ${b + 1}: ${block.parts.map((part) => part.exercise).join(' + ')}`,
									on: { session: of ?? key, block: b }
								}
							]
						: []
				)
			)
		}
	];
}

export const sameTarget = (a: RuleTarget, b: RuleTarget): boolean => JSON.stringify(a) === JSON.stringify(b);
