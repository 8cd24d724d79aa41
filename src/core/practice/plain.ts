import { libraryOf, type Exercise } from '../exercise';
import type { Practice } from './practice';

/** A coach’s practice without its library’s functions. */
export interface PlainPractice extends Omit<Practice, 'library'> {
	own: readonly Exercise[];
}
export const plainOf = ({ library, ...rest }: Practice): PlainPractice => ({
	...rest,
	own: library.all.filter(({ ownId }) => ownId)
});
/** The practice that such plain values stand for. */
export const practiceFrom = ({ own, ...rest }: PlainPractice): Practice => ({
	...rest,
	library: libraryOf(own)
});
