import { nearest } from '../../text/nearest';
import type { Library } from '../../exercise';
import { brokenLimits } from '../../kit';
import { limitsWhen, putBlock, putPart } from '../../session';
import { listed } from '../../text/words';
import { COMMON } from '../../findings';
import { type Check, type SessionFinding } from '../finding';
import { substitute, substituteAt } from '../../substitution';

/** Guesses are dear and asked for at every keystroke: each name once a library. */
const guesses = new WeakMap<Library, Map<string, string | null>>();

function guessFor(name: string, library: Library): string | null {
	const known = guesses.get(library) ?? new Map<string, string | null>();
	guesses.set(library, known);
	let guess = known.get(name);
	if (guess === undefined) known.set(name, (guess = nearest(name, library.names())));
	return guess;
}

const unknown: Check = ({ session, practice }) => {
	const { library } = practice;
	return session.blocks.flatMap((block, b): SessionFinding[] =>
		block.parts.flatMap((part, p): SessionFinding[] => {
			if (library.find(part.exercise)) return [];
			const guess = library.find(guessFor(part.exercise, library) ?? '');
			return [
				{
					rule: 'not in the library',
					severity: 'hint',
					title: `${part.exercise} is not in the library`,
					figure: 'Its muscles, equipment and pace are not known, so it is left out of the balance.',
					place: { block: b, part: p },
					source: 'your library',
					remedy: guess && {
						label: `Use ${guess.name}`,
						apply: () => substituteAt(session, b, p, guess, practice)
					}
				}
			];
		})
	);
};

const noEasier: Check = ({ session, practice: { library } }) => {
	const seen = new Map<string, { block: number; part: number }>();
	session.blocks.forEach((block, b) =>
		block.parts.forEach((part, p) => {
			const exercise = library.find(part.exercise);
			if (
				!exercise ||
				exercise.pattern === 'stretch' ||
				exercise.pattern === 'mobility' ||
				block.role !== 'main'
			)
				return;
			if (!library.progressionOf(exercise.name) && !seen.has(exercise.name))
				seen.set(exercise.name, { block: b, part: p });
		})
	);
	const [first] = seen.values();
	if (!first) return [];
	return [
		{
			rule: 'no easier form',
			severity: 'hint',
			title: `No easier form of ${[...seen.keys()].join(', ')}`,
			figure: 'Who cannot do it has nothing to go to; a progression in the library gives one.',
			place: first,
			source: COMMON,
			remedy: null
		}
	];
};

const fasterThanHouse: Check = ({ session, practice: { library, house } }) =>
	session.blocks.flatMap((block, b): SessionFinding[] =>
		block.parts.flatMap((part, p): SessionFinding[] => {
			const exercise = library.find(part.exercise);
			const own = exercise?.tempo ?? house.tempo;
			if (!part.tempo || part.kg === null || exercise?.pattern === 'hinge') return [];
			const usual = Math.min(own[0], house.tempo[0]);
			if (part.tempo[0] >= usual) return [];
			return [
				{
					rule: 'faster than the house tempo',
					severity: 'hint',
					title: `${part.exercise} comes down in ${part.tempo[0]} s`,
					figure: `${usual} s are the house rule for loaded work.`,
					place: { block: b, part: p },
					source: COMMON,
					remedy: {
						label: `Use ${own.join('-')}`,
						apply: () => putBlock(session, b, putPart(block, p, { ...part, tempo: own }))
					}
				}
			];
		})
	);

/** What is offered to somebody whom something hurts, and goes against just that. */
const insteadHurtsToo: Check = ({ session, practice }) =>
	session.blocks.flatMap((block, b): SessionFinding[] =>
		block.parts.flatMap((part, p): SessionFinding[] =>
			(part.instead ?? []).flatMap(({ when, exercise: name }, i): SessionFinding[] => {
				const exercise = practice.library.find(name);
				const broken = exercise ? brokenLimits(exercise, limitsWhen(when)) : [];
				if (!exercise || broken.length === 0) return [];
				const limits = limitsWhen(when);
				const to = substitute(exercise, { kit: null, limits }, practice)?.exercise;
				const withOther = (other: string) =>
					(part.instead ?? []).map((one, at) => (at === i ? { ...one, exercise: other } : one));
				return [
					{
						rule: 'alternative that hurts too',
						severity: 'safety',
						title: `${name} for a sore ${when}`,
						figure: `It goes against ${listed(broken)}.`,
						place: { block: b, part: p },
						source: COMMON,
						remedy:
							to && to.name !== part.exercise
								? {
										label: `Use ${to.name.toLowerCase()}`,
										apply: () =>
											putBlock(session, b, putPart(block, p, { ...part, instead: withOther(to.name) }))
									}
								: null
					}
				];
			})
		)
	);

export const EXERCISE_CHECKS: readonly Check[] = [unknown, noEasier, fasterThanHouse, insteadHurtsToo];
