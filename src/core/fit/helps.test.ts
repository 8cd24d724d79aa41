import { expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { readKit, type Limitation } from '../kit';
import { whatHelps } from './helps';

const helps = (name: string, own: string | null, limits: Limitation[] = []) => {
	const exercise = PRACTICE.library.find(name);
	if (!exercise) throw new Error(name);
	const kit = own === null ? null : readKit(own).kit;
	return whatHelps(exercise, { level: 'trained', planFor: null, kit, limits }, PRACTICE);
};

it('what would help is what is easy to get, two at most, within their limits', () => {
	const [band, ...more] = helps('Band pull-apart', 'mat');
	expect(band).toEqual({ item: 'band', exercise: 'Band pull-apart' });
	expect(more).toEqual([{ item: 'light dumbbell', exercise: 'Dumbbell pull-apart' }]);
	expect(helps('Band pull-apart', 'mat', ['seated only'])[0]).toEqual({
		item: 'band',
		exercise: 'Seated band pull-apart'
	});
	// Limits alone leave nothing of a hang.
	expect(helps('Dead hang', 'mat', ['seated only', 'easy on the shoulders', 'easy on the elbows'])).toEqual(
		[]
	);
	// Of whom nobody knows what they own there is nothing to say.
	expect(helps('Band pull-apart', null)).toEqual([]);
});
