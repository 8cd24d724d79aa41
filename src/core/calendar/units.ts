/** Milliseconds of a day of 24 hours; a calendar day in a zone may be shorter or longer. */
export const DAY_MS = 86_400_000;
