import { packEntry, type Strip } from '$core/day';
import type { Context } from '../platform/context';
import { instant, type Queries } from '../db/database';

export interface Sums {
	strip: Strip;
	creditSum: number;
	checkins: number;
	lastSeen: number | null;
}

/** What an enrolment's check-ins and excuses add up to, from nothing but themselves. */
export async function sumsOf(tx: Queries, enrolmentId: string): Promise<Sums> {
	const checkins = await tx.query<{ day: number; credit: number; at: number; pain: boolean }>(
		`select day, credit, received_at as at, hurts is not null as pain
		 from checkin where enrolment_id = $1 and replaced_at is null`,
		[enrolmentId]
	);
	const excuses = await tx.query<{ day: number; at: number }>(
		'select day, at from excuse where enrolment_id = $1',
		[enrolmentId]
	);
	const strip: Strip = {};
	for (const { day, at } of excuses) strip[day] = packEntry({ kind: 'excuse', credit: 0, at, pain: false });
	for (const { day, credit, at, pain } of checkins)
		strip[day] = packEntry({ kind: 'check-in', credit, at, pain });
	return {
		strip,
		creditSum: checkins.reduce((sum, { credit }) => sum + credit, 0),
		checkins: checkins.length,
		lastSeen: checkins.reduce<number | null>((last, { at }) => Math.max(last ?? 0, at), null)
	};
}

/** Works out every enrolment's sums anew. @returns how many there are */
export async function rebuild({ db }: Pick<Context, 'db'>): Promise<number> {
	const enrolments = await db.query<{ id: string }>('select id from enrolment');
	for (const { id } of enrolments) {
		await db.transaction(async (tx) => {
			await tx.query('select 1 from enrolment where id = $1 for update', [id]);
			const sums = await sumsOf(tx, id);
			await tx.query(
				'update enrolment set strip = $2::jsonb, credit_sum = $3, checkins = $4, last_seen = $5 where id = $1',
				[
					id,
					JSON.stringify(sums.strip),
					sums.creditSum,
					sums.checkins,
					sums.lastSeen === null ? null : instant(sums.lastSeen)
				]
			);
		});
	}
	return enrolments.length;
}
