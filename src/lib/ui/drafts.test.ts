import { describe, expect, it } from 'vitest';
import { draftKey, draftsOf, keepDraft, windowId, type Draft, type DraftOf } from './drafts';

class Memory {
	private readonly items = new Map<string, string>();
	constructor(private readonly room = Infinity) {}
	get length() {
		return this.items.size;
	}
	key = (i: number) => [...this.items.keys()][i] ?? null;
	getItem = (key: string) => this.items.get(key) ?? null;
	removeItem = (key: string) => void this.items.delete(key);
	setItem = (key: string, value: string) => {
		if (value.length > this.room) throw new Error('full');
		this.items.set(key, value);
	};
}
const draft = (state: string, at: number): Draft<string> => ({ state, basedOn: 1, at });
const isText = (state: unknown): state is string => typeof state === 'string';
const S1: DraftOf = { coachId: 'coach', kind: 'session', id: 's1' };

describe('drafts', () => {
	it('are kept for each window, offered newest first, and only for their coach and what they are of', () => {
		const store = new Memory();
		keepDraft(store, draftKey(S1, 'a'), draft('older', 1));
		keepDraft(store, draftKey(S1, 'b'), draft('newer', 2));
		keepDraft(store, draftKey({ ...S1, id: 's2' }, 'a'), draft('another session', 3));
		keepDraft(store, draftKey({ ...S1, coachId: 'other' }, 'a'), draft('another coach', 4));
		keepDraft(store, draftKey({ ...S1, kind: 'plan' }, 'a'), draft('a plan', 5));
		expect(draftsOf(store, S1, isText).map(({ draft: one }) => one.state)).toEqual(['newer', 'older']);
	});

	it('what cannot be read is passed over', () => {
		const store = new Memory();
		store.setItem(draftKey(S1, 'a'), '{"state":');
		store.setItem(draftKey(S1, 'b'), '{"state":"half"}');
		expect(draftsOf(store, S1, isText)).toEqual([]);
	});

	it('says when there is no room', () => {
		expect(keepDraft(new Memory(10), 'key', draft('long', 1))).toBe(false);
	});

	it('a window keeps its name', () => {
		const store = new Memory();
		expect(windowId(store)).toBe(windowId(store));
		expect(windowId(new Memory())).not.toBe(windowId(store));
	});
});
