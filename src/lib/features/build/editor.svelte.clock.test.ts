import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { moveBlock, parseSessionText, type Session } from '$core/session';
import { carry, Editor, idOf } from './editor.svelte';
import { PRACTICE } from '../../../../tests/support/practice';

const session = (text: string): Session => parseSessionText(text, PRACTICE).session;
const start = () => ({ name: 'Ridge load', tags: ['legs'], session: session('3 x 10 squat\n3 x 10 curl') });
const exercises = (editor: Editor) => editor.session.blocks.map((block) => block.parts[0]?.exercise);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** Sets the first block's sets, as typing into its field does. */
function type(editor: Editor, sets: number) {
	const block = editor.session.blocks[0]!;
	editor.put(0, { ...block, sets } as typeof block, 'sets');
}
const sets = (editor: Editor) => (editor.session.blocks[0] as unknown as { sets: number }).sets;

describe('steps back and forth', () => {
	it('go back over everything that was done, and forth again', () => {
		const editor = new Editor(start());
		editor.change(moveBlock(editor.session, 0, 1));
		editor.rename('Valley load');
		editor.tag(['legs', 'short']);
		expect([editor.name, editor.tags.length, exercises(editor)]).toEqual([
			'Valley load',
			2,
			['Curl', 'Squat']
		]);
		editor.undo();
		editor.undo();
		editor.undo();
		expect([editor.name, editor.tags, exercises(editor)]).toEqual([
			'Ridge load',
			['legs'],
			['Squat', 'Curl']
		]);
		expect(editor.canUndo).toBe(false);
		editor.undo();
		while (editor.canRedo) editor.redo();
		expect([editor.name, exercises(editor)]).toEqual(['Valley load', ['Curl', 'Squat']]);
		editor.redo();
		expect(editor.name).toBe('Valley load');
	});

	it('have no end within a sitting', () => {
		const editor = new Editor(start());
		for (let i = 0; i < 500; i++) {
			vi.advanceTimersByTime(2000);
			type(editor, 4 + (i % 40));
		}
		for (let i = 0; i < 500; i++) editor.undo();
		expect([sets(editor), editor.canUndo]).toEqual([3, false]);
	});

	it('what is typed in one go is one step; after a pause, or elsewhere, another', () => {
		const editor = new Editor(start());
		type(editor, 1);
		type(editor, 12);
		vi.advanceTimersByTime(2000);
		type(editor, 5);
		editor.rename('R');
		editor.undo();
		expect([editor.name, sets(editor)]).toEqual(['Ridge load', 5]);
		editor.undo();
		expect(sets(editor)).toBe(12);
		editor.undo();
		expect(sets(editor)).toBe(3);
	});

	it('a new change ends the way forth', () => {
		const editor = new Editor(start());
		editor.rename('A');
		editor.undo();
		editor.tag([]);
		expect(editor.canRedo).toBe(false);
	});
});

describe('what has changed', () => {
	it('is known against what was saved, also after going back', () => {
		const editor = new Editor(start());
		expect(editor.changed).toBe(false);
		editor.rename('A');
		expect(editor.changed).toBe(true);
		editor.undo();
		expect(editor.changed).toBe(false);
		editor.rename('B');
		editor.settle();
		expect(editor.changed).toBe(false);
		editor.undo();
		expect(editor.changed).toBe(true);
	});
});

describe('names of blocks and parts', () => {
	it('stay with them while they are edited and moved, and are new for a copy', () => {
		const editor = new Editor(start());
		const [first, second] = editor.session.blocks.map(idOf);
		type(editor, 7);
		editor.change(moveBlock(editor.session, 0, 1));
		expect(editor.session.blocks.map(idOf)).toEqual([second, first]);
		const part = editor.session.blocks[0]!.parts[0]!;
		expect(idOf(carry(part, { ...part, kg: 8 }))).toBe(idOf(part));
		expect(idOf(structuredClone(part))).not.toBe(idOf(part));
	});
});
