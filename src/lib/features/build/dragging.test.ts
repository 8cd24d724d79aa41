import { SOURCES, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
import { describe, expect, it } from 'vitest';
import { moveIn, orderWhile } from './dragging';

const items = ['a', 'b', 'c'].map((id) => ({ id }));
const event = (order: string, trigger: TRIGGERS, id = 'c') => {
	const detail: DndEvent<{ id: string }> = {
		items: [...order].map((one) => ({ id: one })),
		info: { trigger, id, source: SOURCES.KEYBOARD }
	};
	return { detail } as CustomEvent<DndEvent<{ id: string }>>;
};

describe('dragging', () => {
	it('shows the order as it would be, in a list of its own', () => {
		const dragged = event('acb', TRIGGERS.DRAGGED_OVER_INDEX);
		const order = orderWhile(dragged);
		expect(order?.map(({ id }) => id).join('')).toBe('acb');
		expect(order).not.toBe(dragged.detail.items);
	});

	it('shows nothing of its own once it has ended', () => {
		expect(orderWhile(event('abc', TRIGGERS.DRAG_STOPPED))).toBeNull();
	});

	it('says from where to where, and nothing where nothing moved', () => {
		expect(moveIn(event('acb', TRIGGERS.DROPPED_INTO_ZONE), items)).toEqual({ from: 2, to: 1 });
		expect(moveIn(event('abc', TRIGGERS.DROPPED_INTO_ZONE), items)).toBeNull();
		expect(moveIn(event('ab', TRIGGERS.DROPPED_OUTSIDE_OF_ANY), items)).toBeNull();
		expect(moveIn(event('acb', TRIGGERS.DROPPED_INTO_ZONE, 'stranger'), items)).toBeNull();
	});
});
