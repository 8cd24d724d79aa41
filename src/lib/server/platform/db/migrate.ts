import { createHash } from 'node:crypto';
import type { UmzugStorage } from 'umzug';
import { CannotStart } from '../cannot-start';
import { readSetting, writeSetting } from '../settings';
import { reportSteps } from '../starting';
import type { Database, Queries } from './database';
import schema from './schema.sql?raw';

const MIGRATIONS = import.meta.glob<string>('./migrations/*.sql', {
	query: '?raw',
	import: 'default',
	eager: true
});

const FUNCTIONS = import.meta.glob<string>('./functions/*.sql', {
	query: '?raw',
	import: 'default',
	eager: true
});

interface Step {
	number: number;
	name: string;
	sql: string;
}

/** Number of `schema.sql`, the oldest that is read: numbers below it belong to data directories of test versions. */
export const OLDEST = 50;

const nameOf = (path: string): string =>
	path
		.split('/')
		.at(-1)
		?.replace(/\.\w+$/, '') ?? path;

const STEPS: readonly Step[] = [
	{ number: OLDEST, name: `00${OLDEST}_schema`, sql: schema },
	...Object.entries(MIGRATIONS)
		.map(([path, sql]) => ({ number: Number(nameOf(path).slice(0, 4)), name: nameOf(path), sql }))
		.sort((a, b) => a.number - b.number)
];

/** Number of the newest migration of this program. */
export const NEWEST = STEPS.at(-1)?.number ?? OLDEST;

/** Functions and triggers by file name, in an order in which each finds what it calls. */
const FUNCTION_FILES = Object.entries(FUNCTIONS)
	.sort(([a], [b]) => a.localeCompare(b))
	.map(([, sql]) => sql);
const FUNCTIONS_DIGEST = createHash('sha256').update(FUNCTION_FILES.join('\n')).digest('hex');

export async function schemaVersion(db: Queries): Promise<number> {
	const rows = await db.query<{ version: number | null }>('select max(number) as version from migration');
	return rows[0]?.version ?? 0;
}

/** Runs a step and records it in one transaction. Of several processes that start at once one runs it. */
const take = (db: Database, { number, name, sql }: Step): Promise<void> =>
	db.transaction(async (tx) => {
		await tx.query('lock table migration in exclusive mode');
		const done = await tx.query('select 1 from migration where number = $1', [number]);
		if (done.length > 0) return;
		await tx.script(sql);
		await tx.query('insert into migration (number, name, at) values ($1, $2, now())', [number, name]);
	});

/** Replaces functions and triggers if they differ from those of this program. */
async function replaceFunctions(db: Database): Promise<void> {
	if ((await readSetting(db, 'functions')) === FUNCTIONS_DIGEST) return;
	await db.transaction(async (tx) => {
		await tx.query('lock table migration in exclusive mode');
		for (const sql of FUNCTION_FILES) await tx.script(sql);
		await writeSetting(tx, 'functions', FUNCTIONS_DIGEST);
	});
}

/** The steps that were taken; each records itself within its own transaction. */
const storageOf = (db: Database): UmzugStorage => ({
	executed: async () =>
		(await db.query<{ name: string }>('select name from migration')).map(({ name }) => name),
	logMigration: () => Promise.resolve(),
	unlogMigration: () => Promise.reject(new Error('migrations are not taken back; restore a backup'))
});

async function runSteps(db: Database): Promise<string[]> {
	const storage = storageOf(db);
	const taken = await storage.executed({ context: undefined });
	if (STEPS.every(({ name }) => taken.includes(name))) return [];
	// Imported late: it brings as many modules as the program itself has, and most starts have nothing to do.
	const { Umzug } = await import('umzug');
	const report = reportSteps('Preparing the database', STEPS.length - taken.length);
	const umzug = new Umzug({
		migrations: STEPS.map((step) => ({
			name: step.name,
			up: () => {
				report();
				return take(db, step);
			}
		})),
		storage,
		logger: undefined
	});
	return (await umzug.up()).map(({ name }) => name);
}

/**
 * Brings a database to the newest schema, each step in a transaction of its own, and its functions to those of this program.
 *
 * @returns names of the steps taken
 * @throws CannotStart if the database is newer than this program, or older than the first schema that it reads
 */
export async function migrate(db: Database): Promise<string[]> {
	await db.script(
		'create table if not exists migration (number int primary key, name text not null, at timestamptz not null)'
	);
	const before = await schemaVersion(db);
	if (before > NEWEST)
		throw new CannotStart(
			`The database is at schema ${before}; this program knows ${NEWEST}. Start a newer program on it.`
		);
	if (before > 0 && before < OLDEST)
		throw new CannotStart(
			`The database is at schema ${before}, of a test version; this program reads ${OLDEST} and later. Start with an empty data directory.`
		);
	const taken = await runSteps(db);
	await replaceFunctions(db);
	return taken;
}
