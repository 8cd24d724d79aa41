import type { App } from '$lib/server/edge/app';
import { anyCoach } from '$lib/server/records/coach';
import { CannotStart } from '$lib/server/platform/cannot-start';
import { readSetting, writeSetting } from '$lib/server/platform/settings';
import { forgetAfter, liveUntil, trainAt } from './live';
import { fitEverywhere } from '$lib/server/training/fit/ahead';
import { writeDemo } from './seed';

/** The demo as it goes on: the invented people live up to whatever the clock shows. */
export class DemoWorld {
	private turn: Promise<unknown> = Promise.resolve();

	constructor(
		private readonly app: App,
		private lived: number
	) {}

	/** One thing after the other: a tick and a move of the clock must not live through the same hours. */
	private inTurn<T>(work: () => Promise<T>): Promise<T> {
		const next = this.turn.then(work, work);
		this.turn = next.catch(() => undefined);
		return next;
	}

	private async remember(now: number): Promise<void> {
		this.lived = now;
		await writeSetting(this.app.db, 'demo lived until', now);
	}

	/** Lets the people live up to now. @returns how many check-ins came in */
	catchUp(): Promise<number> {
		return this.inTurn(async () => {
			const now = this.app.clock.now();
			if (now <= this.lived) return 0;
			const written = await liveUntil(this.app, this.lived, now);
			await this.remember(now);
			return written;
		});
	}

	/** Lets those train whose hour it is. */
	train(): Promise<void> {
		return this.inTurn(() => trainAt(this.app, this.app.clock.now()));
	}

	/** Undoes what was lived beyond now, after the clock went back. */
	goBack(): Promise<void> {
		return this.inTurn(async () => {
			const now = this.app.clock.now();
			if (now >= this.lived) return;
			await forgetAfter(this.app, now);
			await this.remember(now);
		});
	}
}

let world: DemoWorld | null = null;

/** The demo of this process; null on real data. */
export const demoWorld = (): DemoWorld | null => world;

/** What the setting `demo` holds until everything is written. */
const UNFINISHED = 'being written';

/** @throws CannotStart over data that the demo did not write, or did not write to the end */
async function demoMayLive({ db }: App): Promise<void> {
	const stamp = await readSetting(db, 'demo');
	if (stamp === UNFINISHED)
		throw new CannotStart('The demo data were not written to their end. Give the demo an empty database.');
	if (stamp === null)
		throw new CannotStart(
			'CADREX_DEMO is on, but the database holds data that the demo did not write; nothing was changed. ' +
				'Take CADREX_DEMO away, or give the demo an empty database.'
		);
}

/**
 * Writes the demo data into an empty database, or brings what is there to the time that the clock shows.
 * @throws CannotStart over real data
 */
export async function startDemo(app: App): Promise<DemoWorld> {
	if (await anyCoach(app)) await demoMayLive(app);
	else {
		app.log.info('writing the demo data');
		await writeSetting(app.db, 'demo', UNFINISHED);
		await writeSetting(app.db, 'demo', await writeDemo(app));
		await writeSetting(app.db, 'demo lived until', app.clock.now());
	}
	world = new DemoWorld(app, (await readSetting<number>(app.db, 'demo lived until')) ?? app.clock.now());
	await world.goBack();
	await world.catchUp();
	// Nobody waits for it: pages are there at once, and what does not fit a moment later.
	void fitEverywhere(app).catch((cause: unknown) => app.log.error({ err: cause }, 'the demo was not fitted'));
	void world.train().catch((cause: unknown) => app.log.error({ err: cause }, 'nobody of the demo trains'));
	await app.jobs.register({
		name: 'demo-people',
		what: 'Lets the people of the demo live on to the time of its clock',
		every: '* * * * *',
		retries: 0,
		run: async () => {
			await world?.catchUp();
			await world?.train();
		}
	});
	return world;
}
