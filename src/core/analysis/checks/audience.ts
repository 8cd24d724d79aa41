import type { Exercise } from '../../exercise';
import { againstFor, againstText, type Against, type Audience } from '../../people';
import { COMMON } from '../../findings';
import type { Session } from '../../session';
import { substitute, substituteAt } from '../../substitution';
import { counted, listed } from '../../text/words';
import type { Check, SessionFinding, Subject } from '../finding';

/** From so many exercises on they are one finding and not one each. */
const TOGETHER = 4;

interface Wrong {
	exercise: Exercise;
	reasons: Against[];
	/** The first place where it stands. */
	block: number;
	part: number;
	to: Exercise | null;
}

/** Exercises that somebody of the audience must not be asked for, each once, with the nearest that all can do. */
function wrongOf({ session, practice, fitting }: Subject, audience: Audience): Wrong[] {
	const seen = new Map<Exercise, Wrong>();
	session.blocks.forEach(({ parts }, block) =>
		parts.forEach(({ exercise: name }, part) => {
			const exercise = practice.library.find(name);
			if (!exercise || seen.has(exercise)) return;
			const reasons = againstFor(exercise, audience);
			if (reasons.length === 0) return;
			const found = substitute(exercise, fitting, practice)?.exercise ?? null;
			seen.set(exercise, { exercise, reasons, block, part, to: found === exercise ? null : found });
		})
	);
	return [...seen.values()];
}

/** A session with exercises changed for others wherever they stand. */
function replaced({ session, practice }: Subject, wrong: readonly Wrong[]): Session {
	let next = session;
	session.blocks.forEach(({ parts }, b) =>
		parts.forEach(({ exercise: name }, p) => {
			const exercise = practice.library.find(name);
			const to = wrong.find((one) => one.exercise === exercise)?.to;
			if (to) next = substituteAt(next, b, p, to, practice);
		})
	);
	return next;
}

const notForThem: Check = (subject) => {
	const { audience } = subject;
	if (!audience) return [];
	const wrong = wrongOf(subject, audience);
	const finding = (some: readonly Wrong[], title: string, figure: string): SessionFinding => {
		const [first] = some;
		const mendable = some.filter(({ to }) => to !== null);
		const [only] = mendable;
		return {
			rule: 'not for this group',
			severity: 'safety',
			title,
			figure,
			place: some.length === 1 && first ? { block: first.block, part: first.part } : null,
			source: COMMON,
			remedy:
				only?.to === undefined || only.to === null
					? null
					: {
							label:
								some.length === 1
									? `Use ${only.to.name.toLowerCase()}`
									: `Replace ${mendable.length === some.length ? 'them' : counted(mendable.length, 'exercise')}`,
							apply: () => replaced(subject, mendable)
						}
		};
	};
	if (wrong.length < TOGETHER)
		return wrong.map((one) =>
			finding([one], `${one.exercise.name} isn’t for this group`, againstText(one.reasons))
		);
	const who = [...new Set(wrong.flatMap(({ reasons }) => reasons.map((reason) => reason.who)))];
	const instead = wrong.map(
		({ exercise, to }) => `${exercise.name}: ${to ? to.name.toLowerCase() : 'nothing like it'}`
	);
	return [
		finding(
			wrong,
			`${wrong.length} exercises aren’t for this group: ${listed(who)}`,
			`In their place: ${listed(instead, 6)}.`
		)
	];
};

export const AUDIENCE_CHECKS: readonly Check[] = [notForThem];
