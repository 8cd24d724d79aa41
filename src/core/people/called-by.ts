/** The first of a name, as it is used between people who know each other. */
export const calledBy = (name: string): string => name.trim().split(/\s+/)[0] ?? '';
