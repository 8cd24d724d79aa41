/** A day's session as a participant goes through it, step by step. */
import { courseOf, type Course } from '$core/run';
import type { Person } from '../../records/person';
import type { Context } from '../../platform/context';
import { notFound } from '../../platform/errors';
import { kept } from '../../platform/kept';
import { profileIn } from '../../records/suited';
import { openDay, ownSessionOf, standingOf, type OwnCheckin } from './own-day';

export interface DayToRun {
	day: number;
	versionId: string;
	course: Course;
	/** Pieces of the day, with the step at which each begins and whether it is done. */
	pieces: { dayPart: string | null; step: number; done: boolean }[];
	checkin: OwnCheckin | null;
}

/**
 * What a device needs to lead somebody through a day.
 * @param anew it is done once more, whatever was done of it
 * @throws Refusal 404 where the day is not open, has no session for them or is held
 */
export async function dayToRun(
	context: Context,
	person: Person,
	day: number,
	anew = false
): Promise<DayToRun> {
	const standing = await standingOf(context, person);
	const { session, checkin } = await openDay(context, person, day, standing, anew);
	const versionId = checkin?.versionId ?? standing.plan[day - 1]?.versionId;
	if (!session || !versionId) throw notFound('session');
	const at = checkin?.begunAt ?? context.clock.now();
	const own = await ownSessionOf(context.db, standing, person, day, versionId, at);
	if (!own) throw notFound('session');
	const profile = profileIn(standing.challenge, person.suited);
	const make = () =>
		courseOf(
			own.name,
			{ session: own.fitted, asked: own.asked },
			{ ...profile, units: person.units },
			standing.practice
		);
	const course =
		standing.overrides.length > 0
			? make()
			: await kept(
					context.db,
					`course ${versionId} ${person.units} ${JSON.stringify(profile)}`,
					standing.revision,
					() => Promise.resolve(make())
				);
	return {
		day,
		versionId,
		course,
		pieces: session.pieces.map(({ dayPart, blocks, credit }) => ({
			dayPart,
			step: course.steps.findIndex(({ block }) => block === blocks[0]),
			done: credit >= 1
		})),
		checkin
	};
}
