export const DAY_KINDS = ['train', 'cardio', 'test', 'active-rest', 'rest'] as const;
/** What kind of day a plan makes of a day. */
export type DayKind = (typeof DAY_KINDS)[number];
