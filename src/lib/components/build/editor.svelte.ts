import type { Block, Part, Session } from '$core/session';

interface State {
	name: string;
	tags: string[];
	session: Session;
}

/** What is open between the timeline and the blocks. */
export type Panel = 'fit' | 'text' | 'paste' | null;

/** Edits of the same thing within this time are one step back. */
const TOGETHER = 1500;

let nextId = 1;
const ids = new WeakMap<Block | Part, string>();

/** A name for a block or a part that stays with it while it is edited and moved, for lists and for dragging. */
export function idOf(thing: Block | Part): string {
	let id = ids.get(thing);
	if (!id) ids.set(thing, (id = `thing-${nextId++}`));
	return id;
}

/** What takes the place of something is still that. */
export function carry<T extends Block | Part>(old: Block | Part, next: T): T {
	ids.set(next, idOf(old));
	return next;
}

/** What is being edited, with every step back and forth of this sitting. */
export class Editor {
	private state = $state.raw<State>({ name: '', tags: [], session: { blocks: [] } });
	private past = $state.raw<State[]>([]);
	private future = $state.raw<State[]>([]);
	private last: { what: string; at: number } | null = null;
	/** The saved state that this began from, or was saved as. */
	private saved = $state.raw('');

	constructor(start: State) {
		this.state = start;
		this.saved = JSON.stringify(start);
	}

	get name(): string {
		return this.state.name;
	}
	get tags(): string[] {
		return this.state.tags;
	}
	get session(): Session {
		return this.state.session;
	}
	get changed(): boolean {
		return JSON.stringify(this.state) !== this.saved;
	}
	get canUndo(): boolean {
		return this.past.length > 0;
	}
	get canRedo(): boolean {
		return this.future.length > 0;
	}

	/** One step. Steps with the same `what` in quick succession are undone together. */
	private step(next: State, what: string, now = Date.now()): void {
		const together = what !== '' && this.last?.what === what && now - this.last.at < TOGETHER;
		if (!together) this.past = [...this.past, this.state];
		this.future = [];
		this.last = { what, at: now };
		this.state = next;
	}

	/** Takes a changed session. */
	change(session: Session, what = ''): void {
		this.step({ ...this.state, session }, what);
	}

	/** Takes a changed block; it keeps its place and its id. */
	put(index: number, block: Block, what = ''): void {
		const old = this.session.blocks[index];
		if (old) carry(old, block);
		const blocks = this.session.blocks.map((b, i) => (i === index ? block : b));
		this.step({ ...this.state, session: { ...this.session, blocks } }, what && `${what}:${idOf(block)}`);
	}

	rename(name: string): void {
		this.step({ ...this.state, name }, 'name');
	}

	tag(tags: string[]): void {
		this.step({ ...this.state, tags }, '');
	}

	/** Takes everything anew, as from a draft. */
	replace(state: State): void {
		this.step(state, '');
	}

	undo(): void {
		const before = this.past.at(-1);
		if (!before) return;
		this.past = this.past.slice(0, -1);
		this.future = [this.state, ...this.future];
		this.state = before;
		this.last = null;
	}

	redo(): void {
		const [next, ...rest] = this.future;
		if (!next) return;
		this.past = [...this.past, this.state];
		this.future = rest;
		this.state = next;
		this.last = null;
	}

	/** What is there now has been saved. */
	settle(): void {
		this.saved = JSON.stringify(this.state);
	}
}
