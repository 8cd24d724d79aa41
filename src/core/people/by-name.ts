const ORDER = new Intl.Collator('en');

/** Sorts people, and whatever has a name, as an address book does: Å stands at A, capitals make no difference. */
export const byName = (a: { name: string }, b: { name: string }): number => ORDER.compare(a.name, b.name);
