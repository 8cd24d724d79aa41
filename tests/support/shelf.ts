import { randomUUID } from 'node:crypto';
import { addDays } from '$core/calendar';
import { migrate } from '$lib/server/platform/db/migrate';
import type { Database } from '$lib/server/platform/db/database';
import { realClock } from '$lib/server/platform/clock';
import { randomIds } from '$lib/server/platform/ids';
import { enrol } from '$lib/server/people/enrol';
import { layDays } from '$lib/server/training/plan/plan';
import { createSession } from '$lib/server/training/session/sessions';
import { body, makeChallenge, makeCoach, SMALL } from './context';
import { cookieOf, type RunningServer } from './server';

export const PEOPLE = 50;
export const DAYS = 6;

/** A check-in that a person may send: fifty people with six open days each. */
export interface Wanted {
	secret: string;
	id: string;
	day: number;
}

/** Writes people with open days into an empty database. @returns what they may send */
export async function openDays(db: Database): Promise<Wanted[]> {
	await migrate(db);
	const context = { db, clock: realClock, ids: randomIds };
	const coach = await makeCoach(context);
	const today = new Date().toISOString().slice(0, 10);
	// Enrolled before it starts, then moved back, so that all of the days lie behind everybody.
	const challenge = await makeChallenge(context, coach, {
		startsOn: addDays(today, 3),
		trainingDays: [1, 2, 3, 4, 5, 6, 7]
	});
	const session = await createSession(context, coach.id, { name: 'Small', body: body(SMALL) });
	const days = Array.from({ length: DAYS }, (_, i) => i + 1);
	await layDays(context, challenge, { days, kind: 'train', sessionId: session.id });
	const links = await enrol(
		context,
		challenge,
		Array.from({ length: PEOPLE }, (_, i) => ({
			name: `P${i}`,
			email: `p${i}@example.org`,
			zone: 'UTC',
			level: 'beginner' as const,
			kit: [],
			unread: []
		})),
		null
	);
	await db.query('update challenge set starts_on = $1', [addDays(today, -12)]);
	return links.flatMap(({ secret }) => days.map((day) => ({ secret, id: randomUUID(), day })));
}

/** What people send to a server and ask it for, each signed in by their link. */
export class Senders {
	private readonly cookies = new Map<string, string>();

	private async cookie({ url }: Pick<RunningServer, 'url'>, secret: string): Promise<string> {
		const cookie = this.cookies.get(secret) ?? (await cookieOf(url, secret));
		this.cookies.set(secret, cookie);
		return cookie;
	}

	/** @throws Error when it is not acknowledged */
	async send(server: Pick<RunningServer, 'url'>, { secret, id, day }: Wanted): Promise<void> {
		const answer = await fetch(`${server.url}/api/me/checkins`, {
			method: 'POST',
			headers: { cookie: await this.cookie(server, secret), 'content-type': 'application/json' },
			body: JSON.stringify({ id, day, done: 'all' })
		});
		if (answer.status !== 201 && answer.status !== 200)
			throw new Error(`${answer.status} ${await answer.text()}`);
	}

	async has(server: Pick<RunningServer, 'url'>, { secret, id }: Wanted): Promise<boolean> {
		const { status } = await fetch(`${server.url}/api/me/checkins/${id}`, {
			headers: { cookie: await this.cookie(server, secret) }
		});
		return status === 200;
	}
}
