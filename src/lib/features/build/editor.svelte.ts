import type { Block, Part, Session } from '$core/session';
import { History } from '$lib/ui/history.svelte';

interface State {
	name: string;
	tags: string[];
	session: Session;
}

/** Whether something that was kept is a state of an editor. */
export function isSessionState(value: unknown): value is State {
	const state = value as Partial<State> | null | undefined;
	return typeof state?.name === 'string' && Array.isArray(state.session?.blocks) && Array.isArray(state.tags);
}

/** What is open between the timeline and the blocks. */
export type Panel = 'fit' | 'text' | 'paste' | null;

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

/** A session that is being edited. */
export class Editor extends History<State> {
	get name(): string {
		return this.state.name;
	}
	get tags(): string[] {
		return this.state.tags;
	}
	get session(): Session {
		return this.state.session;
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
}
