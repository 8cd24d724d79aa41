/** Fields of a list of people, apart from how lists are read: that takes countries and zones, which no page needs. */
export const ROSTER_FIELDS = ['name', 'email', 'zone', 'country', 'level', 'equipment'] as const;
export type RosterField = (typeof ROSTER_FIELDS)[number];

/** Letters of a cell that are given back with a fault. */
export const CELL_SHOWN = 254;
