import type { FaultList } from '../fault-list';
import type { Part } from '../parts';

/** Blocks whose parts are done in groups: `groups[i]` holds the indexes of the parts of the i-th. */
interface Grouped {
	parts: Part[];
	groups: number[][];
}

export const partsOfGroup = (block: Grouped, group: readonly number[]): Part[] =>
	group.map((i) => block.parts[i]).filter((part) => part !== undefined);

/** Parts typed group by group, counted through. */
export function groupIndexes(groups: readonly (readonly unknown[])[]): number[][] {
	let next = 0;
	return groups.map((group) => group.map(() => next++));
}

export function checkGroups(block: Grouped, faults: FaultList, what: string): void {
	const placed = block.groups.flat();
	const every = block.parts.every((_, i) => placed.filter((p) => p === i).length === 1);
	if (!every || placed.length !== block.parts.length || block.groups.some((g) => g.length === 0))
		faults.add('.groups', `every exercise of ${what} belongs to exactly one group, and no group is empty`);
}

/** The groups as typed: exercises of one joined by +, groups parted by a stroke. */
export const groupsLine = (block: Grouped, part: (part: Part) => string): string =>
	block.groups.map((group) => partsOfGroup(block, group).map(part).join(' + ')).join(' / ');
