/** Results that a coach records for a person as she was told: stored like any other, marked as hers, and taken back by her. */
import { recordedSchema } from '$contracts/recorded';
import { partlyDone } from '$core/day';
import { asPerson, type OwnPerson } from '../../records/enrolments';
import { openDay, standingOf } from '../day/own-day';
import { noteChange } from '../../changes/holds';
import { withTransaction, type Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import type { CoachId } from '../../platform/ids';
import { validate } from '../../platform/validate';
import { checkIn } from './check-in';
import { IS_CURRENT } from '../../records/facts';
import { removeResults } from '../results';

const textOf = (days: readonly number[]): string =>
	`day${days.length === 1 ? '' : 's'} ${new Intl.ListFormat('en').format(days.map(String))}`;

/** Records one or several days, all of them or none; days of rest among them are left out. @throws Refusal 400; 404 for a day that has not opened; 409 where the person has sent a result */
export async function recordDays(
	context: Context,
	person: OwnPerson,
	coach: CoachId,
	raw: unknown
): Promise<void> {
	const { days, ids, share, effort, note } = validate(recordedSchema, raw);
	if (ids.length !== days.length) throw new Refusal(400, 'Each day carries an id of its own.');
	const { plan } = await standingOf(context, asPerson(person));
	const worked = days.filter((day) => plan[day - 1]?.kind !== 'rest');
	if (worked.length === 0) throw new Refusal(409, 'These are days of rest: there is nothing to record.');
	await context.db.transaction(async (tx) => {
		const within = withTransaction(context, tx);
		for (const day of worked) {
			const sets =
				share === 'all'
					? null
					: partlyDone(
							(await openDay(within, asPerson(person), day)).session?.asked ?? [],
							Number(share) / 100
						);
			await recordOne(within, person, coach, { id: ids[days.indexOf(day)] ?? '', day, sets, effort, note });
		}
		await noteChange(
			tx,
			person.participantId,
			'coach',
			`A result of ${textOf(worked)} was recorded`,
			context.clock.now()
		);
	});
}

/** Records the sets of one day, such as a test result. @throws Refusal as `recordDays` */
export async function recordSets(
	context: Context,
	person: OwnPerson,
	coach: CoachId,
	what: { id: string; day: number; sets: unknown; effort: unknown; note: unknown }
): Promise<void> {
	await context.db.transaction(async (tx) => {
		await recordOne(withTransaction(context, tx), person, coach, what);
		await noteChange(
			tx,
			person.participantId,
			'coach',
			`A result of day ${what.day} was recorded`,
			context.clock.now()
		);
	});
}

/** @param sets null: all of it */
async function recordOne(
	context: Context,
	person: OwnPerson,
	coach: CoachId,
	{ id, day, sets, effort, note }: { id: string; day: number; sets: unknown; effort: unknown; note: unknown }
): Promise<void> {
	const [own] = await context.db.query<{ id: string; hers: boolean }>(
		`select id, entered_by is not null as hers from result c where enrolment_id = $1 and day = $2 and ${IS_CURRENT}`,
		[person.id, day]
	);
	if (own && !own.hers && own.id !== id)
		throw new Refusal(
			409,
			`${person.name} has checked in for day ${day}. They can correct it themselves; nothing was recorded.`
		);
	await checkIn(
		context,
		asPerson(person),
		{ id, day, versionId: null, replaces: own?.id ?? null, done: sets ? 'part' : 'all', sets, effort, note },
		coach
	);
}

/** Takes back what a coach recorded for some days; what people sent themselves stays. @returns how many days */
export async function takeBackRecorded(
	{ db, clock }: Context,
	person: OwnPerson,
	days: readonly number[]
): Promise<number> {
	return db.transaction(async (tx) => {
		const removed = await removeResults(tx, asPerson(person), { recordedOn: days });
		const taken = [...new Set(removed.flatMap((day) => day ?? []))];
		if (taken.length === 0) return 0;
		await noteChange(
			tx,
			person.participantId,
			'coach',
			`A recorded result of ${textOf(taken)} was taken back`,
			clock.now()
		);
		return taken.length;
	});
}
