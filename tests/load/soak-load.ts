/** What people do to a server that is being soaked, and what it has acknowledged of it. */
import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { addDays } from '$core/calendar';
import { seededRandom } from '$core/stats';
import type { Database } from '$lib/server/platform/db/database';
import { migrate } from '$lib/server/platform/db/migrate';
import { realClock } from '$lib/server/platform/clock';
import { randomIds } from '$lib/server/platform/ids';
import { enrol } from '$lib/server/people/enrol';
import { layDays } from '$lib/server/training/plan/plan';
import { createSession } from '$lib/server/training/session/sessions';
import { body, makeChallenge, makeCoach, PASSWORD, SMALL } from '../support/context';
import { cookieOf } from '../support/server';

/** Milliseconds that count as a start. */
export const START = 15_000;
const WEEKS = 12;
const DAYS = 7 * WEEKS;
/** Participants of each coach: two hundred in all. */
const GROUPS = [70, 70, 60];

export interface SoakWorld {
	people: { enrolmentId: string; secret: string }[];
	/** Each with a challenge whose days lie behind it, and one that begins soon. */
	coaches: { email: string; challengeId: string; nextId: string }[];
}

/** Three coaches with two hundred people whose twelve weeks lie behind them and may all still be sent in. */
export async function writeWorld(db: Database): Promise<SoakWorld> {
	await migrate(db);
	const context = { db, clock: realClock, ids: randomIds };
	const today = new Date().toISOString().slice(0, 10);
	const world: SoakWorld = { people: [], coaches: [] };
	for (const [i, size] of GROUPS.entries()) {
		const coach = await makeCoach(context, `Coach${i}`);
		const challenge = await makeChallenge(context, coach, {
			startsOn: addDays(today, 3),
			weeks: WEEKS,
			trainingDays: [1, 2, 3, 4, 5, 6, 7]
		});
		const session = await createSession(context, coach.id, { name: 'Small', body: body(SMALL) });
		const days = Array.from({ length: DAYS }, (_, day) => day + 1);
		await layDays(context, challenge, { days, kind: 'train', sessionId: session.id });
		const rows = Array.from({ length: size }, (_, n) => ({
			name: `P${i}-${n}`,
			email: `p${i}-${n}@example.org`,
			zone: 'UTC',
			level: 'beginner' as const,
			kit: [],
			unread: []
		}));
		const links = await enrol(context, challenge, rows, null);
		world.people.push(...links.map(({ enrolmentId, secret }) => ({ enrolmentId, secret })));
		const next = await makeChallenge(context, coach, { name: 'Next', startsOn: addDays(today, 20) });
		world.coaches.push({ email: coach.email, challengeId: challenge.id, nextId: next.id });
		// Its last day is yesterday.
		await db.query('update challenge set starts_on = $1 where id = $2', [
			addDays(today, -DAYS),
			challenge.id
		]);
	}
	return world;
}

interface CheckIn {
	person: number;
	day: number;
	id: string;
	replaces: string | null;
}

/** Two hundred participants and three coaches at work. */
export class Load {
	/** Of each person and day, the check-in that stands by what was acknowledged. */
	readonly standing = new Map<string, CheckIn>();
	readonly acknowledged = new Set<string>();
	/** Addresses of people whose enrolment was acknowledged. */
	readonly enrolled: string[] = [];
	/** Milliseconds of each check-in that was answered. */
	readonly times: number[] = [];
	/** Answers that nobody should have got. */
	readonly unexpected: string[] = [];
	others = 0;
	lost = 0;
	private readonly random = seededRandom('soak');
	private readonly busy = new Set<string>();
	private readonly under = new Set<Promise<void>>();
	private next = 0;
	private ended = false;
	private people: string[] = [];
	private coaches: { cookie: string; challenge: string; next: string }[] = [];

	/** @param urls where it is served, at the moment */
	constructor(
		private readonly world: SoakWorld,
		private readonly urls: () => string[]
	) {}

	private pick<T>(list: readonly T[]): T {
		return list[Math.floor(this.random() * list.length)]!;
	}

	/** Signs everybody in. */
	async begin(): Promise<void> {
		const [url = ''] = this.urls();
		for (const { secret } of this.world.people) this.people.push(await cookieOf(url, secret));
		for (const { email, challengeId, nextId } of this.world.coaches) {
			const answer = await fetch(`${url}/sign-in`, {
				method: 'POST',
				redirect: 'manual',
				headers: { origin: url },
				body: new URLSearchParams({ email, password: PASSWORD })
			});
			const cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
			this.coaches.push({ cookie, challenge: `/c/${challengeId}`, next: `/c/${nextId}` });
		}
	}

	/** An answer, or null when there is none: the process was killed, or is being stopped. */
	private async ask(path: string, cookie: string, form?: FormData | string): Promise<Response | null> {
		const url = this.pick(this.urls());
		if (!url) return null;
		const json = typeof form === 'string';
		try {
			const answer = await fetch(url + path, {
				...(form !== undefined && { method: 'POST', body: form }),
				redirect: 'manual',
				headers: {
					cookie,
					origin: url,
					accept: json ? 'application/json' : 'text/html',
					...(json && { 'content-type': 'application/json' })
				}
			});
			const text = await answer.text();
			if (answer.status >= 500 && answer.status !== 503)
				this.unexpected.push(`${answer.status} ${path} ${text.slice(0, 200)}`);
			return answer;
		} catch {
			this.lost++;
			return null;
		}
	}

	/** Sends a check-in as a device does: again and again until it is acknowledged. */
	private async send(sent: CheckIn): Promise<void> {
		const { person, ...rest } = sent;
		const text = JSON.stringify({ ...rest, done: 'all', effort: 7 });
		for (;;) {
			const began = performance.now();
			const answer = await this.ask('/api/me/checkins', this.people[person]!, text);
			if (answer) this.times.push(performance.now() - began);
			if (answer && answer.status < 300) break;
			if (answer && answer.status !== 503) {
				this.unexpected.push(`${answer.status} to a check-in of day ${sent.day}`);
				return;
			}
			await pause(200 + 1300 * this.random());
		}
		this.acknowledged.add(sent.id);
		this.standing.set(`${person}:${sent.day}`, sent);
	}

	/** A check-in of a day that nobody has sent, one again, or a correction. */
	private one(): CheckIn | null {
		const total = this.people.length * DAYS;
		const kind = this.random();
		if (this.standing.size < 50 || (kind < 0.8 && this.next < total)) {
			const at = this.next++;
			const person = at % this.people.length;
			return { person, day: Math.floor(at / this.people.length) + 1, id: randomUUID(), replaces: null };
		}
		const [key, sent] = this.pick([...this.standing]);
		if (this.busy.has(key)) return null;
		return kind < 0.9 ? sent : { ...sent, id: randomUUID(), replaces: sent.id };
	}

	private start(work: () => Promise<void>): void {
		const under = work().finally(() => this.under.delete(under));
		this.under.add(under);
	}

	/** Does something again and again. @param ms from one time to the next, on average */
	private every(ms: number, work: () => Promise<unknown>): void {
		const step = async () => {
			while (!this.ended) {
				// Half as long to half as long again: people do not act in step.
				await pause(ms * (0.5 + this.random()));
				await work();
				this.others++;
			}
		};
		this.start(step);
	}

	private async enrolSome(): Promise<void> {
		const { cookie, next } = this.pick(this.coaches);
		const emails = Array.from({ length: 5 }, () => `new-${randomUUID()}@example.org`);
		const form = new FormData();
		form.set(
			'list',
			`name,email,time zone\n${emails.map((mail, i) => `New ${i},${mail},Asia/Tokyo\n`).join('')}`
		);
		const answer = await this.ask(`${next}/people/import?/accept`, cookie, form);
		if (answer?.status === 200) this.enrolled.push(...emails);
	}

	/**
	 * Goes on for a time, then waits until everything sent has been acknowledged. What the first seconds took is not kept.
	 * @param rate check-ins a second
	 */
	async run(seconds: number, rate = 20): Promise<void> {
		const person = () => this.pick(this.people);
		const coach = () => this.pick(this.coaches);
		const list = new FormData();
		list.set(
			'list',
			`name,email,time zone\n${Array.from({ length: 300 }, (_, i) => `Q${i},q${i}@example.org,Europe/Oslo\n`).join('')}`
		);
		const page = () => {
			const { cookie, challenge } = coach();
			return this.ask(challenge + this.pick(['/roll', '/desk', '/people', '/plan']), cookie);
		};
		this.every(250, () => this.ask(this.pick(['/me', '/me/calendar', '/me/day/3']), person()));
		for (const _ of this.coaches) this.every(5000, page);
		this.every(5000, () => {
			const { cookie, challenge } = coach();
			return this.ask(`${challenge}/people/import?/preview`, cookie, list);
		});
		this.every(10_000, () => this.ask('/me/packet.pdf', person()));
		this.every(15_000, () => this.enrolSome());
		const until = performance.now() + 1000 * seconds;
		setTimeout(() => (this.times.length = 0), START);
		for (let count = 0, began = performance.now(); performance.now() < until; count++) {
			const sent = this.one();
			const key = sent && `${sent.person}:${sent.day}`;
			if (sent && key && !this.busy.has(key)) {
				this.busy.add(key);
				this.start(() => this.send(sent).finally(() => this.busy.delete(key)));
			}
			await pause(Math.max(0, began + (1000 / rate) * (count + 1) - performance.now()));
		}
		this.ended = true;
		await Promise.all(this.under);
	}
}

/** What is wrong with what a database holds, by what was acknowledged; nothing is wrong when it is empty. */
export async function compare(db: Database, world: SoakWorld, load: Load): Promise<string[]> {
	const rows = await db.query<{ id: string; enrolment: string; day: number; current: boolean }>(
		'select id, enrolment_id as enrolment, day, replaced_at is null as current from result'
	);
	const kept = new Set(rows.map(({ id }) => id));
	const wrong = [...load.acknowledged].filter((id) => !kept.has(id)).map((id) => `check-in ${id} is lost`);
	// Every device went on until it had its answer: there is nothing else.
	if (rows.length !== load.acknowledged.size)
		wrong.push(`${rows.length} check-ins for ${load.acknowledged.size} acknowledged ones`);
	const current = new Map<string, string[]>();
	for (const { id, enrolment, day } of rows.filter((row) => row.current))
		current.set(`${enrolment}:${day}`, [...(current.get(`${enrolment}:${day}`) ?? []), id]);
	for (const { person, day, id } of load.standing.values()) {
		const found = current.get(`${world.people[person]!.enrolmentId}:${day}`) ?? [];
		if (found.length !== 1 || found[0] !== id) wrong.push(`day ${day}: ${found.join(', ')} stands for ${id}`);
	}
	const emails = new Set(
		(await db.query<{ email: string }>('select email from participant')).map((row) => row.email)
	);
	return [
		...wrong,
		...load.enrolled.filter((email) => !emails.has(email)).map((email) => `${email} is lost`)
	];
}
