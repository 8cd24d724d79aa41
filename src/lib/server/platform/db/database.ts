/** What the application asks of its database; PGlite and a PostgreSQL server answer alike. */
export interface Queries {
	/**
	 * Runs one parameterised statement.
	 * Dates come back as `YYYY-MM-DD`, instants as epoch milliseconds, JSON as values.
	 */
	query<Row = Record<string, unknown>>(text: string, values?: unknown[]): Promise<Row[]>;
	/** Runs a script of several statements, as migrations are. */
	script(sql: string): Promise<void>;
}

export interface Database extends Queries {
	readonly kind: 'pglite' | 'postgres';
	/** Runs `work` in one transaction; a throw within rolls it back. */
	transaction<T>(work: (tx: Queries) => Promise<T>): Promise<T>;
	/**
	 * Hears what is told on a channel (`NOTIFY`), by this process and by others.
	 * @returns what ends it
	 */
	listen(channel: string, heard: (payload: string) => void): Promise<() => Promise<void>>;
	close(): Promise<void>;
}

/** OIDs of the types that are read in our own way, the same on both drivers. */
export const READERS: Record<number, (text: string) => unknown> = {
	20: Number,
	1082: (text) => text,
	1184: (text) => Date.parse(text.replace(' ', 'T').replace(/([+-]\d\d)$/, '$1:00')),
	1700: Number
};

/** The row that must be there; for queries that return exactly one. */
export function only<Row>(rows: Row[]): Row {
	const [row] = rows;
	if (row === undefined) throw new Error('the query returned no row where one was sure to be');
	return row;
}

/** An instant as the database takes it. */
export const instant = (ms: number): string => new Date(ms).toISOString();
