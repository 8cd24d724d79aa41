/** What may be done in place of an exercise, as it is written and said. */
import { nameIndex, type Library } from '../exercise';
import { limitsOf, tellingLimits, type Limitation } from '../kit';
import type { Instead, InsteadWhen } from './parts';

/** A name as a line has it: in quotation marks where it would be read as another one, or as none. */
export function nameText(name: string, library: Library): string {
	const meanings = nameIndex(library).meanings(name);
	return meanings.length === 1 &&
		meanings[0]?.name === name &&
		nameIndex(library).endOf(name, 0) === name.length
		? name
		: `"${name}"`;
}

/** As a typed line has it: `or Band squat`, `if the knee hurts: Sit to chair`. */
export const insteadText = ({ when, exercise }: Instead, library: Library): string =>
	when === 'choice'
		? `or ${nameText(exercise, library)}`
		: `if the ${when} hurts: ${nameText(exercise, library)}`;

/** As one says it to whoever does it, or of them: `Or: Band squat`, `If your knee hurts: Sit to chair`. */
export const insteadWords = ({ when, exercise }: Instead, whose: 'your' | 'the' = 'your'): string =>
	when === 'choice' ? `Or: ${exercise}` : `If ${whose} ${when} hurts: ${exercise}`;

/** What must not be asked of somebody whom something hurts; nothing for what is done at will. */
export const limitsWhen = (when: InsteadWhen): readonly Limitation[] =>
	when === 'choice' ? [] : limitsOf(`sore ${when}`);

/** Whether an alternative is meant for somebody with some limits. What many must not do, such as jumps, tells of no joint. */
export const concerns = ({ when }: Instead, limits: readonly Limitation[]): boolean =>
	when !== 'choice' && tellingLimits(`sore ${when}`).some((limit) => limits.includes(limit));
