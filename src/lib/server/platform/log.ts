import pino, { type Logger } from 'pino';

/** What a log says of an error. Nothing that somebody typed is in it: database errors carry the values of their row. */
export interface LoggedError {
	type: string;
	/** The error’s own words without what stands between quotes; of a database error nothing. */
	message?: string;
	/** SQLSTATE, or the code of a system error. */
	code?: string;
	constraint?: string;
	table?: string;
	/** The statement’s first words: `insert into checkin`. */
	query?: string;
	/** Where it was thrown. */
	stack: string[];
}

const SQLSTATE = /^[0-9A-Z]{5}$/;
const LONGEST = 200;
const textOf = (error: object, key: string): string | undefined => {
	const value: unknown = Reflect.get(error, key);
	return typeof value === 'string' ? value : undefined;
};

/** Names a statement by what it does and to which table; its values are never part of its text. */
export const queryName = (sql: string): string =>
	/^\s*(?:with\b[^]*?\)\s*)?(insert into \w+|update \w+|delete from \w+|select\b[^]*?\bfrom \w+|\w+)/i
		.exec(sql)?.[1]
		?.replace(/^select\b[^]*\bfrom/i, 'select from')
		.slice(0, 60) ?? '';

const withoutQuotes = (message: string): string =>
	message
		.slice(0, 2000)
		.replace(/"[^"]*"?|“[^”]*”?|‘[^’]*’?|'[^']*'?|`[^`]*`?|\([^)]*@[^)]*\)|\S+@\S+/g, '…')
		.slice(0, LONGEST);

/** An error as it may be written down. */
export function loggedError(error: unknown): LoggedError {
	if (!(error instanceof Error)) return { type: typeof error, stack: [] };
	const code = textOf(error, 'code');
	const fromDatabase = code !== undefined && SQLSTATE.test(code);
	const query = textOf(error, 'query') ?? textOf(error, 'statement');
	return {
		type: error.name,
		...(!fromDatabase && { message: withoutQuotes(error.message) }),
		...(code !== undefined && { code: code.slice(0, 40) }),
		...pick(error, 'constraint'),
		...pick(error, 'table'),
		...(fromDatabase && query !== undefined && { query: queryName(query) }),
		// The stack begins with the message, which may be of several lines.
		stack: (error.stack ?? '')
			.split('\n')
			.filter((line) => /^\s+at /.test(line))
			.map((line) => line.trim())
			.slice(0, 12)
	};
}

function pick(error: Error, key: 'constraint' | 'table'): Partial<LoggedError> {
	const value = textOf(error, key);
	return value === undefined ? {} : { [key]: value };
}

/** The log of the application: one line of JSON an event. Errors are given to it as `err`. */
export const openLog = (level: string, to?: pino.DestinationStream): Logger =>
	pino(
		{
			level,
			base: null,
			timestamp: pino.stdTimeFunctions.isoTime,
			serializers: { err: loggedError }
		},
		...(to ? [to] : [])
	);
