import { elementScroll, observeElementOffset, observeElementRect, Virtualizer } from '@tanstack/virtual-core';

/** Rows of a tall window: shown before the browser has measured, and to those who read without scripts. */
const SCREENFUL = 30;

/** The rows of a long table that can be seen, all of one height; made while a component is set up. */
export class VirtualRows {
	/** What scrolls. */
	box: HTMLDivElement | undefined = $state();
	private visible: { index: number; start: number }[] = $state.raw([]);
	private virtual: Virtualizer<HTMLDivElement, Element> | null = null;

	/** @param count of all rows @param height of one, in pixels */
	constructor(
		private readonly count: () => number,
		private readonly height: number
	) {
		$effect(() => {
			const { box } = this;
			if (!box) return;
			const virtual = new Virtualizer<HTMLDivElement, Element>({
				count: this.count(),
				getScrollElement: () => box,
				estimateSize: () => this.height,
				overscan: 12,
				observeElementRect,
				observeElementOffset,
				scrollToFn: elementScroll,
				onChange: (instance) => (this.visible = instance.getVirtualItems())
			});
			this.virtual = virtual;
			const release = virtual._didMount();
			virtual._willUpdate();
			this.visible = virtual.getVirtualItems();
			return release;
		});
	}

	get shown(): { index: number; start: number }[] {
		if (this.visible.length > 0) return this.visible;
		return Array.from({ length: Math.min(SCREENFUL, this.count()) }, (_, index) => ({
			index,
			start: index * this.height
		}));
	}

	/** Height of all rows together, in pixels. */
	get total(): number {
		return this.count() * this.height;
	}

	scrollTo(index: number): void {
		this.virtual?.scrollToIndex(Math.max(0, index));
	}
}
