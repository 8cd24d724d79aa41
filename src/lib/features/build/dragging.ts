import { TRIGGERS, type DndEvent } from 'svelte-dnd-action';

interface Item {
	id: string;
}

/**
 * The order to show while something is dragged; null when the dragging has ended. A copy: the drag-and-drop library
 * swaps within the very list that it was given when keys move an item.
 */
export const orderWhile = <T extends Item>({ detail }: CustomEvent<DndEvent<T>>): T[] | null =>
	detail.info.trigger === TRIGGERS.DRAG_STOPPED ? null : [...detail.items];

/** From where to where an item was moved within its list; null when it stays where it was. */
export function moveIn<T extends Item>(
	{ detail }: CustomEvent<DndEvent<T>>,
	before: readonly T[]
): { from: number; to: number } | null {
	const from = before.findIndex((item) => item.id === detail.info.id);
	const to = detail.items.findIndex((item) => item.id === detail.info.id);
	return from >= 0 && to >= 0 && from !== to ? { from, to } : null;
}
