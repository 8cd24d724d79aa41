import type { UmzugStorage } from 'umzug';
import { CannotStart } from '../cannot-start';
import { reportSteps } from '../starting';
import type { Database, Queries } from './database';

/** Steps in SQL, and those that need the program itself to read what was kept as text. */
const SCRIPTS = import.meta.glob<string>('./migrations/*.sql', {
	query: '?raw',
	import: 'default',
	eager: true
});

const PROGRAMS = import.meta.glob<(tx: Queries) => Promise<void>>('./migrations/[0-9]*.ts', {
	import: 'up',
	eager: true
});

interface Step {
	number: number;
	name: string;
	run: (tx: Queries) => Promise<void>;
}

const nameOf = (path: string): string =>
	path
		.split('/')
		.at(-1)
		?.replace(/\.\w+$/, '') ?? path;
const stepOf = (path: string, run: Step['run']): Step => {
	const name = nameOf(path);
	return { number: Number(name.slice(0, 4)), name, run };
};
const STEPS: readonly Step[] = [
	...Object.entries(SCRIPTS).map(([path, sql]) => stepOf(path, (tx) => tx.script(sql))),
	...Object.entries(PROGRAMS).map(([path, up]) => stepOf(path, up))
].sort((a, b) => a.number - b.number);

/** Number of the newest migration that this program knows. */
export const NEWEST = STEPS.at(-1)?.number ?? 0;

export async function schemaVersion(db: Queries): Promise<number> {
	const rows = await db.query<{ version: number | null }>('select max(number) as version from migration');
	return rows[0]?.version ?? 0;
}

/** Runs a step and notes it in one transaction. Of several processes that start at once one takes it. */
const take = (db: Database, { number, name, run }: Step): Promise<void> =>
	db.transaction(async (tx) => {
		await tx.query('lock table migration in exclusive mode');
		const done = await tx.query('select 1 from migration where number = $1', [number]);
		if (done.length > 0) return;
		await run(tx);
		await tx.query('insert into migration (number, name, at) values ($1, $2, now())', [number, name]);
	});

/** Which steps were taken; they note themselves, within their own transactions. */
const storageOf = (db: Database): UmzugStorage => ({
	executed: async () =>
		(await db.query<{ name: string }>('select name from migration')).map(({ name }) => name),
	logMigration: () => Promise.resolve(),
	unlogMigration: () => Promise.reject(new Error('migrations are not taken back; restore a backup'))
});

/**
 * Brings a database to the newest schema, each step in a transaction of its own.
 *
 * @returns names of the steps taken
 * @throws CannotStart when the database is newer than this program
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
	const storage = storageOf(db);
	const taken = await storage.executed({ context: undefined });
	if (STEPS.every(({ name }) => taken.includes(name))) return [];
	// Only now: it brings as many modules along as the program has itself, and most starts have nothing to do.
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
