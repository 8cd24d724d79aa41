/** Edits of the same thing within this time are one step back. */
const TOGETHER = 1500;

/** Something that is being edited, with every step back and forth of this sitting. */
export class History<State> {
	protected state: State = $state.raw() as State;
	private past = $state.raw<State[]>([]);
	private future = $state.raw<State[]>([]);
	private last: { what: string; at: number } | null = null;
	/** The saved state that this began from, or was saved as. */
	private saved = $state.raw('');

	constructor(start: State) {
		this.state = start;
		this.saved = JSON.stringify(start);
	}

	/** All that is being edited. */
	get whole(): State {
		return this.state;
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
	protected step(next: State, what: string, now = Date.now()): void {
		const together = what !== '' && this.last?.what === what && now - this.last.at < TOGETHER;
		if (!together) this.past = [...this.past, this.state];
		this.future = [];
		this.last = { what, at: now };
		this.state = next;
	}

	/** Takes everything anew, as from a draft. */
	replace(state: State): void {
		this.step(state, '');
	}

	/** Begins from something else that is saved; there is no way back from it. */
	begin(state: State): void {
		this.past = [];
		this.future = [];
		this.last = null;
		this.state = state;
		this.settle();
	}

	undo(): void {
		const before = this.past.at(-1);
		if (before === undefined) return;
		this.past = this.past.slice(0, -1);
		this.future = [this.state, ...this.future];
		this.state = before;
		this.last = null;
	}

	redo(): void {
		const [next, ...rest] = this.future;
		if (next === undefined) return;
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
