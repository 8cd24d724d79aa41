import type { Database, Queries } from './database';

const FILES = import.meta.glob<string>('./migrations/*.sql', {
	query: '?raw',
	import: 'default',
	eager: true
});

interface Migration {
	number: number;
	name: string;
	sql: string;
}

const MIGRATIONS: Migration[] = Object.entries(FILES)
	.map(([path, sql]) => {
		const name = path.split('/').at(-1)?.replace('.sql', '') ?? path;
		return { number: Number(name.slice(0, 4)), name, sql };
	})
	.sort((a, b) => a.number - b.number);

/** Number of the newest migration that this program knows. */
export const NEWEST = MIGRATIONS.at(-1)?.number ?? 0;

export async function schemaVersion(db: Queries): Promise<number> {
	const rows = await db.query<{ version: number | null }>('select max(number) as version from migration');
	return rows[0]?.version ?? 0;
}

/** Statements of a migration; ours hold no semicolon within a statement. */
const statementsOf = (sql: string): string[] =>
	sql
		.replace(/^\s*--.*$/gm, '')
		.split(';')
		.map((statement) => statement.trim())
		.filter(Boolean);

/**
 * Brings a database to the newest schema, each step in a transaction of its own.
 *
 * @returns names of the steps taken
 * @throws Error when the database is newer than this program
 */
export async function migrate(db: Database): Promise<string[]> {
	await db.script(
		'create table if not exists migration (number int primary key, name text not null, at timestamptz not null)'
	);
	const before = await schemaVersion(db);
	if (before > NEWEST)
		throw new Error(`The database has schema ${before}; this program knows ${NEWEST}. Start a newer one.`);
	const taken: string[] = [];
	for (const step of MIGRATIONS.filter((m) => m.number > before)) {
		const mine = await db.transaction(async (tx) => {
			// Several processes may start at once on a server: the first takes the step, the others see it done.
			await tx.query('lock table migration in exclusive mode');
			const done = await tx.query('select 1 from migration where number = $1', [step.number]);
			if (done.length > 0) return false;
			for (const statement of statementsOf(step.sql)) await tx.query(statement);
			await tx.query('insert into migration (number, name, at) values ($1, $2, now())', [
				step.number,
				step.name
			]);
			return true;
		});
		if (mine) taken.push(step.name);
	}
	return taken;
}
