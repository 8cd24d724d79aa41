import { describe, expect, it } from 'vitest';
import { draftKey, draftsOf, keepDraft, windowId, type Draft } from './drafts';

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
const draft = (name: string, at: number): Draft => ({
	name,
	tags: [],
	session: { blocks: [] },
	basedOn: 1,
	at
});

describe('drafts', () => {
	it('are kept for each window, offered newest first, and only for their coach and session', () => {
		const store = new Memory();
		keepDraft(store, draftKey('coach', 's1', 'a'), draft('older', 1));
		keepDraft(store, draftKey('coach', 's1', 'b'), draft('newer', 2));
		keepDraft(store, draftKey('coach', 's2', 'a'), draft('another session', 3));
		keepDraft(store, draftKey('other', 's1', 'a'), draft('another coach', 4));
		expect(draftsOf(store, 'coach', 's1').map(({ draft: one }) => one.name)).toEqual(['newer', 'older']);
	});

	it('what cannot be read is passed over', () => {
		const store = new Memory();
		store.setItem(draftKey('coach', 's1', 'a'), '{"name":');
		store.setItem(draftKey('coach', 's1', 'b'), '{"name":"half"}');
		expect(draftsOf(store, 'coach', 's1')).toEqual([]);
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
