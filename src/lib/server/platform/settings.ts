import type { Queries } from './db/database';

/** A value kept by name for the whole installation. */
export async function readSetting<T>(db: Queries, key: string): Promise<T | null> {
	const [found] = await db.query<{ value: T }>('select value from setting where key = $1', [key]);
	return found?.value ?? null;
}

export async function writeSetting(db: Queries, key: string, value: unknown): Promise<void> {
	await db.query(
		'insert into setting (key, value) values ($1, $2) on conflict (key) do update set value = excluded.value',
		[key, JSON.stringify(value)]
	);
}
