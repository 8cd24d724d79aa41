import { readFileSync } from 'node:fs';
import pg from 'pg';
import type { Database } from '$lib/server/platform/db/database';
import { migrate } from '$lib/server/platform/db/migrate';
import { memoryDatabase } from '$lib/server/platform/db/pglite';
import { openPostgres } from '$lib/server/platform/db/postgres';
import { DUMP } from './directories';

async function freshPostgres(server: string): Promise<Database> {
	const name = `cadrex_${process.pid}_${Math.random().toString(36).slice(2, 10)}`;
	const admin = new pg.Client({ connectionString: server });
	await admin.connect();
	await admin.query(`create database ${name}`);
	await admin.end();
	const url = new URL(server);
	url.pathname = `/${name}`;
	return openPostgres(url.href);
}

/** A new migrated database: PGlite in memory, or one of the server in TEST_DATABASE_URL. */
export async function newDatabase(): Promise<Database> {
	const server = process.env.TEST_DATABASE_URL;
	let db: Database;
	if (server) db = await freshPostgres(server);
	else {
		db = await memoryDatabase(new Blob([readFileSync(DUMP)]));
	}
	await migrate(db);
	return db;
}

/** Databases that no test has at the moment; they are empty, and end with the process. */
const idle: Database[] = [];

/**
 * Deletes every row, without its triggers and keys, and begins numbers anew.
 * To truncate is quicker where there is much: it makes every table and index a new file, and here few have a row.
 */
const EMPTY = `do $$
declare
	one record;
begin
	set local session_replication_role = replica;
	for one in select tablename as name from pg_tables where schemaname = 'public' and tablename <> 'migration' loop
		execute format('delete from %I', one.name);
	end loop;
	for one in select sequencename as name from pg_sequences where schemaname = 'public' loop
		perform setval(one.name::regclass, 1, false);
	end loop;
end $$`;

/** An empty, migrated database. Closed, it is emptied and lent again: making one takes longer than most tests. */
export async function lentDatabase(): Promise<Database> {
	const db = idle.pop() ?? (await newDatabase());
	return {
		...db,
		async close() {
			await db.script(EMPTY);
			idle.push(db);
		}
	};
}
