import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { createCoach } from '$lib/server/account/auth/coach';
import { hashToken } from '$lib/server/platform/ids';
import { Jobs, type Job } from '$lib/server/platform/jobs';
import { purgeSignIns } from '$lib/server/edge/upkeep/purge';
import { instant, type Database } from '$lib/server/platform/db/database';
import { testContext } from '../support/context';
import { newDatabase } from '../support/database';

const SOON = { timeout: 15_000, interval: 100 };

describe('jobs', () => {
	let db: Database;
	let jobs: Jobs;
	const failures: string[] = [];

	const start = (drain = 4000) =>
		Jobs.start(db, {
			pollSeconds: 0.5,
			retrySeconds: 1,
			drain,
			onError: (error, job) => failures.push(`${job}: ${error.message}`)
		});
	const letter = (run: (data: { to: string }) => Promise<void>, retries = 2): Job<{ to: string }> => ({
		name: 'letter',
		what: 'Writes a letter',
		retries,
		run
	});

	beforeAll(async () => {
		db = await newDatabase();
	});
	afterAll(() => db.close());
	beforeEach(async () => {
		failures.length = 0;
		jobs = await start();
	});
	afterEach(async () => {
		await jobs.stop();
		await db.script('delete from jobs.job; delete from jobs.schedule');
	});

	it('does what is sent, once', async () => {
		const written: string[] = [];
		await jobs.register(letter((data) => Promise.resolve(void written.push(data.to))));
		await jobs.send(db, { name: 'letter' }, { to: 'Oren' });
		await vi.waitFor(() => expect(written).toEqual(['Oren']), SOON);
		await vi.waitFor(async () => expect((await jobs.states())[0]).toMatchObject({ waiting: 0 }), SOON);
		expect((await jobs.states())[0]!.doneAt).toBeGreaterThan(Date.now() - 60_000);
		expect(await jobs.dead()).toEqual([]);
	});

	it('sends nothing when the transaction it was sent in is undone', async () => {
		const written: string[] = [];
		await jobs.register(letter((data) => Promise.resolve(void written.push(data.to))));
		await expect(
			db.transaction(async (tx) => {
				await jobs.send(tx, { name: 'letter' }, { to: 'nobody' });
				throw new Error('undone');
			})
		).rejects.toThrow('undone');
		await db.transaction((tx) => jobs.send(tx, { name: 'letter' }, { to: 'Maarit' }));
		await vi.waitFor(() => expect(written).toEqual(['Maarit']), SOON);
	});

	it('tries again, and keeps for the operator what is given up, to be put back', async () => {
		let broken = true;
		const written: string[] = [];
		const run = (data: { to: string }) =>
			broken
				? Promise.reject(new Error('the post office is closed'))
				: Promise.resolve(void written.push(data.to));
		await jobs.register(letter(run, 1));
		await jobs.send(db, { name: 'letter' }, { to: 'Bao' });
		await vi.waitFor(async () => expect(await jobs.dead()).toHaveLength(1), SOON);
		const [dead] = await jobs.dead();
		expect(dead).toMatchObject({
			what: 'Writes a letter',
			tries: 2,
			reason: 'the post office is closed'
		});
		expect(failures).toEqual(Array(2).fill('letter: the post office is closed'));
		broken = false;
		expect(await jobs.again(dead!.id)).toBe(true);
		await vi.waitFor(() => expect(written).toEqual(['Bao']), SOON);
		expect(await jobs.dead()).toEqual([]);
		expect(await jobs.again('11111111-1111-4111-8111-111111111111')).toBe(false);
	}, 30_000);

	it('waits at its end for what is running, and leaves the rest for the next start', async () => {
		const written: string[] = [];
		let began = false;
		await jobs.register(
			letter(async (data) => {
				began = true;
				await new Promise((resolve) => setTimeout(resolve, 700));
				written.push(data.to);
			})
		);
		await jobs.send(db, { name: 'letter' }, { to: 'Tamsin' });
		await vi.waitFor(() => expect(began).toBe(true), SOON);
		await jobs.send(db, { name: 'letter' }, { to: 'Ikenna' });
		await jobs.stop();
		expect(written).toEqual(['Tamsin']);
		jobs = await start();
		await jobs.register(letter((data) => Promise.resolve(void written.push(data.to))));
		await vi.waitFor(() => expect(written).toEqual(['Tamsin', 'Ikenna']), SOON);
	}, 30_000);

	it('what the end of its process cut off is not given up: the next one does it', async () => {
		const tries: string[] = [];
		let began!: () => void;
		const under = new Promise<void>((resolve) => (began = resolve));
		let cutOff!: (cause: Error) => void;
		const without = new Promise<void>((_, reject) => (cutOff = reject));
		// This one does not wait for long.
		await jobs.stop();
		jobs = await start(200);
		await jobs.register(
			letter(({ to }) => {
				tries.push(to);
				began();
				return without;
			}, 1)
		);
		await jobs.send(db, { name: 'letter' }, { to: 'Tamsin' });
		await under;
		await jobs.stop();
		jobs = await start();
		await jobs.register(letter((data) => Promise.resolve(void tries.push(data.to)), 1));
		await vi.waitFor(() => expect(tries).toEqual(['Tamsin', 'Tamsin']), SOON);
		cutOff(new Error('cut off'));
		expect(await jobs.dead()).toEqual([]);
	}, 30_000);

	it('knows when a job comes round', async () => {
		await jobs.register({ ...letter(() => Promise.resolve()), every: '17 3 * * *' });
		expect(await jobs.states()).toEqual([
			{ name: 'letter', what: 'Writes a letter', every: '17 3 * * *', waiting: 0, doneAt: null }
		]);
		await expect(jobs.send(db, { name: 'parcel' }, {})).rejects.toThrow('there is no job “parcel”');
	});
});

describe('the purge of sign-ins', () => {
	it('deletes those that ended, and no others', async () => {
		const context = await testContext();
		const now = context.clock.now();
		const coach = await createCoach(context, {
			email: 'runa@hutseason.example',
			name: 'Runa Tveit',
			zone: 'Europe/Oslo',
			password: 'a long enough password'
		});
		for (const [token, ends] of [
			['old', now],
			['new', now + 1]
		] as const)
			await context.db.query(
				`insert into coach_login (id, coach_id, token_hash, rotated_at, created_at, proven_at, expires_at)
				 values ($1, $2, $3, $4, $4, $4, $5)`,
				[context.ids.uuid(), coach.id, hashToken(token), instant(now - 1000), instant(ends)]
			);
		expect(await purgeSignIns(context)).toBe(1);
		expect(await context.db.query('select token_hash from coach_login')).toEqual([
			{ token_hash: hashToken('new') }
		]);
		await context.db.close();
	});
});
