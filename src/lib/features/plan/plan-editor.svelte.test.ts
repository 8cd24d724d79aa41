import { describe, expect, it } from 'vitest';
import { EMPTY_PLAN, putDays, type Plan, type PlanSession } from '$core/plan';
import { DEFAULT_HOUSE } from '$core/practice';
import { parseSessionText } from '$core/session';
import { workshopOf } from '$lib/features/build/workshop';
import { PlanEditor } from './plan-editor.svelte';
import { PRACTICE } from '../../../../tests/support/practice';

const sessions: PlanSession[] = [
	['L', '4 x 10 goblet squat @ 12 kg, rest 60'],
	['U', '4 x 10 push-up, rest 60']
].map(([key = '', text = '']) => ({
	key,
	name: `Session ${key}`,
	body: parseSessionText(text, PRACTICE).session
}));

const planOf = (letters: string): Plan => ({
	...EMPTY_PLAN,
	days: [...letters].map((letter) =>
		letter === '-'
			? { kind: 'rest', session: null, effort: null, tests: [] }
			: { kind: 'train', session: letter, effort: null, tests: [] }
	)
});
const shop = workshopOf([], DEFAULT_HOUSE, 'kg');
const editorOf = (letters: string, releasedTo = 0) =>
	new PlanEditor(planOf(letters), () => ({ sessions, shop, budgetMinutes: 30, releasedTo }));
const resolved = (editor: PlanEditor) => editor.plan.days.map(({ session }) => session ?? '-').join('');

describe('a plan that is edited', () => {
	it('is worked out as it is changed, and back again', () => {
		const editor = editorOf('L-U----');
		const load = editor.resolved.weeks[0]?.load ?? 0;
		expect(load).toBeGreaterThan(0);
		editor.change(putDays(editor.plan, [4], { kind: 'train', session: 'L' }));
		expect(editor.resolved.weeks[0]?.load).toBeGreaterThan(load);
		expect(editor.changed).toBe(true);
		editor.undo();
		expect(editor.resolved.weeks[0]?.load).toBe(load);
		expect(editor.changed).toBe(false);
	});

	it('says what laying a day down here would bring and end', () => {
		const editor = editorOf('L-L-U--');
		editor.carry = { from: 3, to: 3, how: 'swap' };
		expect(editor.effect).toBeNull();
		editor.carry = { from: 3, to: 2, how: 'swap' };
		expect(editor.effect?.brings.map(({ rule }) => rule)).toContain('hard two days running');
		expect(resolved(editor)).toBe('L-L-U--');
		editor.drop();
		expect(resolved(editor)).toBe('LL--U--');
		expect(editor.chosen).toEqual([2]);
		expect(editor.carry).toBeNull();
		editor.carry = { from: 2, to: 4, how: 'swap' };
		expect(editor.effect?.ends.map(({ rule }) => rule)).toContain('hard two days running');
	});

	it('copies, and lets nothing onto days that are released', () => {
		const editor = editorOf('LU-----', 2);
		editor.carry = { from: 1, to: 3, how: 'swap' };
		expect(editor.effect).toBeNull();
		editor.drop();
		expect(resolved(editor)).toBe('LU-----');
		editor.carry = { from: 1, to: 3, how: 'copy' };
		editor.drop();
		expect(resolved(editor)).toBe('LUL----');
		editor.carry = { from: 3, to: 2, how: 'copy' };
		editor.drop();
		expect(resolved(editor)).toBe('LUL----');
	});

	it('chooses a day, several, or all up to one', () => {
		const editor = editorOf('LUL-U--');
		editor.choose(3);
		editor.choose(5, 'toggle');
		editor.choose(1, 'toggle');
		expect(editor.chosen).toEqual([1, 3, 5]);
		editor.choose(3, 'toggle');
		expect(editor.chosen).toEqual([1, 5]);
		editor.choose(2);
		editor.choose(4, 'range');
		expect(editor.chosen).toEqual([2, 3, 4]);
		editor.choose(1, 'range');
		expect(editor.chosen).toEqual([1, 2, 3, 4]);
	});
});
