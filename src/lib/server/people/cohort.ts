/** A group as its coach sees it as a whole. */
import { dateIn, instantOf, minutesIn } from '$core/calendar';
import { cohortOf, suggestedAudience, type Audience, type Cohort, type Member } from '$core/people';
import type { OwnedChallenge } from '../records/challenge';
import type { Context } from '../platform/context';
import { openPlan, savePlan } from '../training/plan/plan';
import { enrolmentsOf } from '../records/enrolments';
import { profileIn } from '../records/suited';

export interface GroupPicture {
	cohort: Cohort;
	/** Who trains within which hour of the coach's clock today, 0 to 23; who named no hour is in none. */
	hours: { hour: number; people: { id: string; name: string; zone: string; localMinutes: number }[] }[];
	noHour: number;
	zones: { zone: string; people: number }[];
	/** Null without anybody. */
	suggested: Audience | null;
	audience: Audience;
	unanswered: number;
}

const members = async ({ db }: Pick<Context, 'db'>, challenge: OwnedChallenge) =>
	(await enrolmentsOf(db, challenge.id)).filter(({ leftAt }) => leftAt === null);

const memberOf =
	(challenge: OwnedChallenge) =>
	(one: Awaited<ReturnType<typeof members>>[number]): Member => {
		const { level, kit, limits } = profileIn(challenge, one.suited);
		return { level, kit, limits };
	};

export async function groupPicture(context: Context, challenge: OwnedChallenge): Promise<GroupPicture> {
	const people = await members(context, challenge);
	const all = people.map(memberOf(challenge));
	const now = context.clock.now();
	const hours = Array.from({ length: 24 }, (_, hour): GroupPicture['hours'][number] => ({
		hour,
		people: []
	}));
	const zones = new Map<string, number>();
	for (const { id, name, zone, trainsAt } of people) {
		zones.set(zone, (zones.get(zone) ?? 0) + 1);
		if (trainsAt === null) continue;
		const at = minutesIn(challenge.coachZone, instantOf(dateIn(zone, now), trainsAt, zone));
		hours[Math.floor(at / 60)]?.people.push({ id, name, zone, localMinutes: trainsAt });
	}
	return {
		cohort: cohortOf(all),
		hours,
		noHour: people.filter(({ trainsAt }) => trainsAt === null).length,
		zones: [...zones].map(([zone, count]) => ({ zone, people: count })).sort((a, b) => b.people - a.people),
		suggested: suggestedAudience(all),
		audience: (await openPlan(context, challenge)).plan.audience,
		unanswered: people.filter(({ answeredAt }) => answeredAt === null).length
	};
}

/** Makes the plan for the audience that the group suggests. @throws Refusal 409 where somebody saved the plan meanwhile */
export async function useSuggested(context: Context, challenge: OwnedChallenge): Promise<void> {
	const audience = suggestedAudience((await members(context, challenge)).map(memberOf(challenge)));
	if (!audience) return;
	const { plan, revision } = await openPlan(context, challenge);
	await savePlan(context, challenge, { revision, plan: { ...plan, audience } });
}
