/** A group as it stands right now: told by the server when something comes about, asked for from time to time otherwise. */
import type { LiveGroup } from '$contracts/live';

/** Milliseconds between two questions while nothing is told. */
const ASK_EVERY = 15_000;
/** Milliseconds between two questions at least, however much comes about. */
const PAUSE = 700;

/** What tells that something came about: `EventSource`, and in tests something like it. */
export interface Told {
	addEventListener(type: 'changed' | 'open' | 'error', heard: () => void): void;
	close(): void;
}

export class LiveGroupView {
	now = $state.raw<LiveGroup>({ group: [], present: [] });
	/** Whether changes are told as they come about. */
	told = $state(false);
	private source: Told | null = null;
	private ticking: ReturnType<typeof setInterval> | null = null;
	private soon: ReturnType<typeof setTimeout> | null = null;
	private asking = false;
	private again = false;
	private asked = 0;

	/** @param ask what stands now; throws where it can not be reached @param open begins to be told */
	constructor(
		first: LiveGroup,
		private readonly ask: () => Promise<LiveGroup>,
		private readonly open: () => Told
	) {
		this.now = first;
	}

	/** Follows until what it returns is called. */
	follow(): () => void {
		this.source = this.open();
		this.source.addEventListener('open', () => (this.told = true));
		// It opens itself again; meanwhile it is asked for.
		this.source.addEventListener('error', () => (this.told = false));
		this.source.addEventListener('changed', () => this.changed());
		this.ticking = setInterval(() => {
			// While changes are told, what only time changes is looked at now and then.
			if (!this.told || Date.now() - this.asked > 4 * ASK_EVERY) void this.look();
		}, ASK_EVERY);
		return () => {
			this.source?.close();
			if (this.ticking) clearInterval(this.ticking);
			if (this.soon) clearTimeout(this.soon);
			this.source = this.ticking = this.soon = null;
		};
	}

	private changed(): void {
		this.soon ??= setTimeout(
			() => {
				this.soon = null;
				void this.look();
			},
			Math.max(0, this.asked + PAUSE - Date.now())
		);
	}

	private async look(): Promise<void> {
		if (this.asking) {
			this.again = true;
			return;
		}
		this.asking = true;
		this.asked = Date.now();
		try {
			this.now = await this.ask();
		} catch {
			// What is shown stays; the next question may get through.
			this.told = false;
		} finally {
			this.asking = false;
		}
		if (!this.again) return;
		this.again = false;
		this.changed();
	}
}

/** Of a challenge on this server. @param day whose states are asked for; null: who trains is enough */
export const liveGroup = (challenge: string, day: number | null, first: LiveGroup): LiveGroupView =>
	new LiveGroupView(
		first,
		async () => {
			const response = await fetch(`/c/${challenge}/live/now${day === null ? '' : `?day=${day}`}`);
			if (!response.ok) throw new Error(String(response.status));
			return (await response.json()) as LiveGroup;
		},
		() => new EventSource(`/c/${challenge}/live`)
	);
