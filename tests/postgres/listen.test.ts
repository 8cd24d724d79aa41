/** What one process tells the others through the database, also after the connection for it was lost. */
import pg from 'pg';
import { afterAll, expect, it } from 'vitest';
import { openPostgres } from '$lib/server/platform/db/postgres';

const url = process.env.TEST_DATABASE_URL ?? '';
const [here, there] = [openPostgres(url), openPostgres(url)];
afterAll(async () => {
	await here.close();
	await there.close();
});
const CHANNEL = `told_${process.pid}`;
const tell = (words: string) => here.query('select pg_notify($1, $2)', [CHANNEL, words]);

it('is heard by another process, in order, until it listens no longer', async () => {
	const heard: string[] = [];
	const end = await there.listen(CHANNEL, (words) => heard.push(words));
	await tell('one');
	await tell('two');
	await expect.poll(() => heard).toEqual(['one', 'two']);
	await here.transaction(async (tx) => {
		await tx.query('select pg_notify($1, $2)', [CHANNEL, 'within']);
		// Not before the transaction is through.
		await tell('before');
	});
	await expect.poll(() => heard).toEqual(['one', 'two', 'before', 'within']);
	await end();
	await tell('nobody');
	expect(heard).toHaveLength(4);
});

it('is heard again after the connection was lost', async () => {
	const heard: string[] = [];
	const end = await there.listen(CHANNEL, (words) => heard.push(words));
	const admin = new pg.Client({ connectionString: url });
	await admin.connect();
	const { rowCount } = await admin.query(
		`select pg_terminate_backend(pid) from pg_stat_activity where query = $1 and pid <> pg_backend_pid()`,
		[`listen ${pg.escapeIdentifier(CHANNEL)}`]
	);
	expect(rowCount).toBe(1);
	await admin.end();
	await expect
		.poll(
			async () => {
				await tell('again');
				return heard.includes('again');
			},
			{ timeout: 10_000, interval: 300 }
		)
		.toBe(true);
	await end();
}, 20_000);
