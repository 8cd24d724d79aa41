/** What somebody answers before they begin: kept section by section, taken when all of them are there. */
import { SECTION_SCHEMAS, type IntakeSections } from '$contracts/intake';
import { minutesOfDay } from '$contracts/values';
import { dateIn, DAY_MS } from '$core/calendar';
import {
	pregnantWeekOn,
	screen,
	SCREEN_KEYS,
	WEEKS,
	weeksSinceBirthOn,
	type HealthAnswers,
	type Screening
} from '$core/health';
import { readKit, type Kit, type Owned, type Units } from '$core/kit';
import {
	INTAKE_SECTIONS,
	type Expecting,
	type IntakeSection,
	type Level,
	type WeightsUsed
} from '$core/people';
import { timeOfDay } from '$lib/format';
import { participantChanged } from '../changes/changed';
import { instant, only, type Queries } from '../platform/db/database';
import { takeAnswers } from './health/answers';
import { answersOf } from '../records/health';
import { noteChange } from '../changes/holds';
import { type MadeBy } from '../records/standing-row';
import type { Context } from '../platform/context';
import { notFound, Refusal } from '../platform/errors';
import type { ParticipantId } from '../platform/ids';
import type { Job } from '../platform/jobs';
import { validate } from '../platform/validate';
import { zonesAfter } from './enrol';

/** Answers as far as they have come. */
export type Draft = { [Name in IntakeSection]?: IntakeSections[Name] };

export interface Intake {
	sections: Draft;
	/** When everything was answered last; null: never. */
	answeredAt: number | null;
	/** When they were last asked to look it over; null: never. */
	askedAt: number | null;
	/** Whether some of it was changed since and not sent yet. */
	begun: boolean;
}

interface About {
	name: string;
	displayName: string | null;
	zone: string;
	trainsAt: number | null;
	units: Units;
	level: Level;
	weights: WeightsUsed | null;
	minutes: number | null;
	goals: string | null;
	kit: Kit;
	kitUnread: string[];
	answeredAt: number | null;
	askedAt: number | null;
	draft: Draft | null;
}

const aboutOf = async (db: Queries, id: ParticipantId): Promise<About> =>
	only(
		await db.query<About>(
			`select p.name, p.display_name as "displayName", p.zone, p.trains_at as "trainsAt", p.units, p.level, p.weights,
				p.minutes, p.goals, p.kit, p.kit_unread as "kitUnread", p.answered_at as "answeredAt", p.asked_at as "askedAt",
				d.sections as draft
			 from participant p left join intake_draft d on d.participant_id = p.id where p.id = $1`,
			[id]
		)
	);

/** Sections as somebody answered them before; what was never answered is left open. */
function sectionsOf(about: About, health: HealthAnswers | null, date: string): Draft {
	const { kit, answeredAt } = about;
	const you: Draft['you'] = {
		displayName: about.displayName ?? about.name.split(' ')[0] ?? about.name,
		zone: about.zone,
		hour: about.trainsAt === null ? '' : timeOfDay(about.trainsAt),
		units: about.units
	};
	const listed: Draft['kit'] = {
		none: kit.length === 0 && about.kitUnread.length === 0,
		owned: [...kit],
		other: about.kitUnread.join('; ')
	};
	const known = kit.length > 0 || about.kitUnread.length > 0;
	if (!health || answeredAt === null) return { you, ...(known && { kit: listed }) };
	const { yes, active, on: _on, ...body } = health;
	return {
		you,
		training: {
			level: about.level,
			weights: about.weights ?? 'some',
			active,
			minutes: about.minutes ?? 30,
			goals: about.goals
		},
		kit: listed,
		body: {
			...body,
			hurts: body.hurts.map((one) => ({ ...one })),
			...expectingOn(health, date)
		},
		health: Object.fromEntries(SCREEN_KEYS.map((key) => [key, yes.includes(key)])) as IntakeSections['health']
	};
}

/** What somebody told of a pregnancy or a birth, with the weeks that it is by now; what is two years ago is nothing. */
function expectingOn(health: HealthAnswers, date: string) {
	const pregnantWeek = pregnantWeekOn(health, date);
	const since = weeksSinceBirthOn(health, date);
	const birthWeeks = since !== null && since <= WEEKS.sinceBirth ? since : null;
	const expecting: Expecting = pregnantWeek !== null ? 'pregnant' : birthWeeks !== null ? 'born' : 'no';
	return { expecting, pregnantWeek, birthWeeks };
}

/** What somebody has answered so far. */
export async function intakeOf(db: Queries, id: ParticipantId, now: number): Promise<Intake> {
	const about = await aboutOf(db, id);
	const before = sectionsOf(about, await answersOf(db, id), dateIn(about.zone, now));
	return {
		sections: { ...before, ...about.draft },
		answeredAt: about.answeredAt,
		askedAt: about.askedAt,
		begun: about.draft !== null
	};
}

/**
 * Keeps one section of somebody's answers; nothing follows from it yet.
 * @throws Refusal 400 with faults, 404 for a section that there is none of
 */
export async function saveSection(
	{ db, clock }: Pick<Context, 'db' | 'clock'>,
	id: ParticipantId,
	section: string,
	raw: unknown
): Promise<void> {
	const named = INTAKE_SECTIONS.find((one) => one === section);
	if (!named) throw new Refusal(404, 'There is no such part of the questions.');
	const value: unknown = validate(SECTION_SCHEMAS[named] as (typeof SECTION_SCHEMAS)['you'], raw);
	await db.query(
		`insert into intake_draft (participant_id, sections, changed_at) values ($1, $2, $3)
		 on conflict (participant_id) do update set sections = intake_draft.sections || excluded.sections,
			changed_at = excluded.changed_at`,
		[id, JSON.stringify({ [named]: value }), instant(clock.now())]
	);
}

/** Whether answers came in before, by the id of their sending. @throws Refusal 404 for somebody else's id */
async function isTaken(db: Queries, id: ParticipantId, sendId: string): Promise<boolean> {
	const [row] = await db.query<{ participantId: ParticipantId }>(
		'select participant_id as "participantId" from screening where id = $1',
		[sendId]
	);
	if (row && row.participantId !== id) throw notFound('answer');
	return row !== undefined;
}

/** What the newest answers of somebody mean today, for themselves; null without any. */
export async function ownScreening(context: Context, id: ParticipantId): Promise<Screening | null> {
	return (await answersOf(context.db, id)) && screeningNow(context, id);
}

/** What the newest answers of somebody mean today. */
async function screeningNow({ db, clock }: Context, id: ParticipantId): Promise<Screening> {
	const { zone } = await aboutOf(db, id);
	const answers = await answersOf(db, id);
	if (!answers) throw notFound('answer');
	return screen(answers, dateIn(zone, clock.now()));
}

const missingIn = (sections: Draft): IntakeSection[] => INTAKE_SECTIONS.filter((name) => !sections[name]);

/**
 * Takes all of somebody's answers: who they are, what they have, what suits them, and whether they may begin.
 *
 * @param raw sections that came with it; those that were kept before need not
 * @param sendId of this sending: the same once more changes nothing
 * @returns what the screening says
 * @throws Refusal 400 with faults; 409 where a section is not there yet
 */
export async function finishIntake(
	context: Context,
	id: ParticipantId,
	madeBy: Exclude<MadeBy, 'rule'>,
	raw: Record<string, unknown>,
	sendId: string
): Promise<Screening> {
	if (await isTaken(context.db, id, sendId)) return screeningNow(context, id);
	for (const name of INTAKE_SECTIONS)
		if (raw[name] !== undefined) await saveSection(context, id, name, raw[name]);
	const { clock } = context;
	return context.db.transaction(async (tx) => {
		await tx.query('select 1 from participant where id = $1 for update', [id]);
		const now = clock.now();
		const { sections, answeredAt } = await intakeOf(tx, id, now);
		const { you, training, kit, body, health, consent } = sections;
		if (!you || !training || !kit || !body || !health || !consent)
			throw new Refusal(
				409,
				`Not everything is answered yet: ${missingIn(sections).join(', ')}.`,
				missingIn(sections).map((field) => ({ field, message: 'not answered yet' }))
			);
		const read = readKit(kit.other);
		const owned: Owned[] = [...(kit.owned as Owned[]), ...read.kit];
		await tx.query(
			`update participant set display_name = $2, earlier_zones = ${zonesAfter('$3', '$12')}, zone = $3, trains_at = $4,
				units = $5, level = $6, weights = $7, minutes = $8, goals = $9, kit = $10, kit_unread = $11, answered_at = $12,
				asked_at = coalesce($13::timestamptz, asked_at)
			 where id = $1`,
			[
				id,
				you.displayName,
				you.zone,
				you.hour ? minutesOfDay(you.hour) : null,
				you.units,
				training.level,
				training.weights,
				training.minutes,
				training.goals,
				JSON.stringify(owned),
				read.unread,
				instant(now),
				// What a coach was told, the person is asked to look over.
				madeBy === 'coach' ? instant(now + 1) : null
			]
		);
		const date = dateIn(you.zone, now);
		const { expecting: _expecting, ...told } = body;
		const answers: HealthAnswers = {
			...told,
			active: training.active,
			yes: SCREEN_KEYS.filter((key) => health[key]),
			on: date
		};
		const screening = await takeAnswers(context, tx, { id, sendId }, answers, madeBy, date);
		await tx.query(
			`insert into consent (participant_id, version, given_by, at) values ($1, $2, $3, $4)
			 on conflict (participant_id, version) do update set given_by = excluded.given_by, at = excluded.at
			 where consent.given_by = 'coach'`,
			[id, consent.version, madeBy, instant(now)]
		);
		await tx.query('delete from intake_draft where participant_id = $1', [id]);
		await noteChange(
			tx,
			id,
			madeBy,
			answeredAt === null ? 'Answered the questions before the start' : 'Answered the questions again',
			now
		);
		await participantChanged(context, tx, id);
		return screening;
	});
}

/** Whether a coach said for somebody that they agree, and they have not said so themselves. */
export const isConsentTold = async (db: Queries, id: ParticipantId): Promise<boolean> => {
	const [last] = await db.query<{ told: boolean }>(
		`select given_by = 'coach' as told from consent where participant_id = $1 order by version desc limit 1`,
		[id]
	);
	return last?.told ?? false;
};

/**
 * Says that nothing has changed since the questions were last answered, and agrees to what a coach has said for them.
 * @throws Refusal 409 where they never were
 */
export async function nothingChanged({ db, clock }: Context, id: ParticipantId): Promise<void> {
	const now = clock.now();
	const done = await db.query(
		'update participant set answered_at = $2 where id = $1 and answered_at is not null returning id',
		[id, instant(now)]
	);
	if (done.length === 0) throw new Refusal(409, 'The questions have not been answered yet.');
	await db.query(
		`update consent set given_by = 'participant', at = $2 where participant_id = $1 and given_by = 'coach'`,
		[id, instant(now)]
	);
	await noteChange(db, id, 'participant', 'Nothing has changed', now);
}

/** Days after which somebody is asked again. */
const WEEK = 7;

/**
 * Asks those again who are in a challenge that runs and asks weekly, and who neither answered nor were asked for a week.
 * Whoever has not answered the first time is asked that already. @returns how many it asked
 */
export async function askWeekly({ db, clock }: Pick<Context, 'db' | 'clock'>): Promise<number> {
	const now = clock.now();
	const asked = await db.query(
		`update participant p set asked_at = $1
		 where greatest(p.answered_at, p.asked_at) <= $2 and p.answered_at is not null and exists (
			select from enrolment e join challenge ch on ch.id = e.challenge_id
			where e.participant_id = p.id and e.left_at is null and ch.asks_weekly
				and $3::date between ch.starts_on and ch.starts_on + ch.days - 1)
		 returning p.id`,
		[instant(now), instant(now - WEEK * DAY_MS), dateIn('UTC', now)]
	);
	return asked.length;
}

export const askWeeklyJob = (context: Pick<Context, 'db' | 'clock'>): Job<object> => ({
	name: 'ask-weekly',
	what: 'Asks everybody once a week whether anything has changed',
	every: '23 * * * *',
	run: async () => {
		await askWeekly(context);
	}
});

/** Asks somebody to look over what they answered. */
export async function askAgain({ db, clock }: Context, id: ParticipantId): Promise<void> {
	await db.query('update participant set asked_at = $2 where id = $1', [id, instant(clock.now())]);
}
