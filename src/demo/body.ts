/** What the people of the demo measured of themselves, how they looked back on their weeks, and what they sent in to be looked at. */
import type { Store } from '$lib/server/platform/row-files';
import sharp from 'sharp';
import { addDays, instantOf, DAY_MS } from '$core/calendar';
import { figureNamed, figureSvg } from '$core/figures';
import { seededRandom } from '$core/stats';
import type { App } from '$lib/server/edge/app';
import type { Coach } from '$lib/server/records/coach';
import { keepMeasure } from '$lib/server/people/body/measures';
import { addPicture } from '$lib/server/people/body/pictures';
import { keepWeekly } from '$lib/server/people/body/weekly';
import type { OwnedChallenge } from '$lib/server/records/challenge';
import { answerFormCheck, formChecksOf, sendFormCheck } from '$lib/server/contact/messages/form-checks';
import { asPerson, enrolmentsOf, enrolmentOf } from '$lib/server/records/enrolments';
import { fixedClock } from '$lib/server/platform/clock';
import { asSent } from '$lib/server/platform/sent-file';
import type { Context } from '$lib/server/platform/context';

const MORNING = 7 * 60;

/** Who weighs themselves, from which weight, by how much a week, and how often. */
const WEIGHS: Record<string, { kg: number; aWeek: number; everyDays: number; waist?: number }> = {
	'Oren Falkestad': { kg: 84.2, aWeek: -0.35, everyDays: 2, waist: 0.93 },
	'Dilnoza Yusupova': { kg: 71.5, aWeek: 0.1, everyDays: 4, waist: 0.81 },
	'Jiho Seo': { kg: 66.4, aWeek: -1.05, everyDays: 2 },
	'Maarit Salonkylä': { kg: 63.8, aWeek: -0.2, everyDays: 7 }
};

const WEEKS: Record<string, { favourite: string; hardest: string; obstacle: string; confidence: number }[]> =
	{
		'Oren Falkestad': [
			{ favourite: 'Ridge load', hardest: 'Stair intervals', obstacle: '', confidence: 8 },
			{
				favourite: 'Ridge load',
				hardest: 'Push-up',
				obstacle: 'Rain, so the carries were in the hall.',
				confidence: 8
			},
			{ favourite: 'Pack carry', hardest: 'Push-up', obstacle: '', confidence: 9 }
		],
		'Yelena Dravec': [
			{ favourite: 'Pull and press', hardest: 'Every minute', obstacle: '', confidence: 7 },
			{
				favourite: 'Long stretch',
				hardest: 'Valley circuit',
				obstacle: 'Boxes everywhere, no floor to lie on.',
				confidence: 4
			},
			{ favourite: '', hardest: '', obstacle: 'Moving house.', confidence: 3 }
		]
	};

/** Somebody standing, drawn: no one is in it. @param width of the waist, 1 as usual @param side seen from the side */
const standing = (width: number, side: boolean, light: string): string => {
	const half = (side ? 7 : 13) * width;
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 120" width="900" height="1200"><rect width="90" height="120" fill="${light}"/>
<rect y="104" width="90" height="16" fill="#cbbfa6"/><g fill="#4d5f7a"><ellipse cx="45" cy="17" rx="6" ry="7.5"/>
<path d="M45 25 C${45 - half} 25 ${45 - half} 36 ${45 - half * 0.85} 48 L${45 - half * 0.9} 64 L${45 - half * 0.6} 110 L${45 - half * 0.1} 110 L45 74 L${45 + half * 0.1} 110 L${45 + half * 0.6} 110 L${45 + half * 0.9} 64 L${45 + half * 0.85} 48 C${45 + half} 36 ${45 + half} 25 45 25 Z"/>
${side ? '' : '<path d="M33 29 L24 66 L28 67 L36 36 Z M57 29 L66 66 L62 67 L54 36 Z"/>'}</g></svg>`;
};
const drawn = async (svg: string): Promise<Uint8Array> =>
	new Uint8Array(await sharp(Buffer.from(svg)).png().toBuffer());

type Where = Pick<App, 'threads'> & { config: Store };

/** @param now the instant to which the demo has come */
export async function writeBodies(
	context: Context & Where,
	challenge: OwnedChallenge,
	coach: Coach,
	now: number
): Promise<void> {
	const people = new Map((await enrolmentsOf(context.db, challenge.id)).map((one) => [one.name, one]));
	const on = (day: number) => addDays(challenge.startsOn, day - 1);
	const at = (at: number) => ({ ...context, clock: fixedClock(at) });
	for (const [name, { kg, aWeek, everyDays, waist }] of Object.entries(WEIGHS)) {
		const person = people.get(name);
		if (!person) continue;
		const own = asPerson(person);
		const draw = seededRandom(name);
		const keep = async (day: number, kind: string, value: number) => {
			const then = instantOf(on(day), MORNING, person.zone);
			if (then <= now)
				await keepMeasure(
					at(then),
					{ ...own, units: 'kg' },
					{ id: context.ids.uuid(), kind, value, on: on(day) }
				);
		};
		for (let day = 1; day <= challenge.days; day += everyDays)
			await keep(day, 'weight', Math.round((kg + (aWeek * day) / 7 + (draw() - 0.5) * 0.7) * 10) / 10);
		if (waist)
			for (let day = 1; day <= challenge.days; day += 7)
				await keep(
					day,
					'waist',
					Math.round((waist + (aWeek * day) / 900 + (draw() - 0.5) / 200) * 1000) / 10
				);
	}
	for (const [name, weeks] of Object.entries(WEEKS)) {
		const person = people.get(name);
		if (!person) continue;
		for (const [i, said] of weeks.entries()) {
			const then = instantOf(on((i + 1) * 7), 20 * 60, person.zone);
			if (then > now) continue;
			await keepWeekly(
				at(then),
				asPerson(person),
				{ week: i + 1, begun: i + 1 },
				{ id: context.ids.uuid(), ...said }
			);
		}
	}
	const oren = people.get('Oren Falkestad');
	if (oren)
		for (const [day, width, light] of [
			[1, 1.08, '#e9e3d3'],
			[22, 1, '#efe9dc']
		] as const)
			for (const view of ['front', 'side'] as const) {
				const then = instantOf(on(day), MORNING, oren.zone);
				if (then <= now)
					await asSent(
						context.config.dataDirectory,
						'picture.jpg',
						await drawn(standing(width, view === 'side', light)),
						(file) => addPicture(at(then), asPerson(oren), { view, on: on(day), shared: true }, file)
					);
			}
	await writeFormChecks(context, challenge, coach, now);
}

const CHECKS = [
	{ name: 'Anahí Quispe', exercise: 'Push-up', note: 'Is my back straight?', ago: 3, answered: true },
	{ name: 'Oren Falkestad', exercise: 'Goblet squat', note: 'Am I low enough?', ago: 0.4, answered: false }
] as const;

async function writeFormChecks(
	context: Context & Where,
	challenge: OwnedChallenge,
	coach: Coach,
	now: number
): Promise<void> {
	const people = await enrolmentsOf(context.db, challenge.id);
	for (const { name, exercise, note, ago, answered } of CHECKS) {
		const one = people.find((person) => person.name === name);
		const figure = figureNamed(exercise);
		if (!one || !figure) continue;
		const then = { ...context, clock: fixedClock(now - ago * DAY_MS) };
		const picture = await sharp(Buffer.from(figureSvg(figure)))
			.resize(1200, 900, { fit: 'contain', background: '#f7f5ef' })
			.flatten({ background: '#f7f5ef' })
			.png()
			.toBuffer();
		await asSent(context.config.dataDirectory, 'picture.png', picture, (file) =>
			sendFormCheck(then, asPerson(one), { exercise, note }, file)
		);
		if (!answered) continue;
		const person = await enrolmentOf(context.db, challenge, one.id);
		const [sent] = await formChecksOf(context.db, one.id);
		const later = { ...context, clock: fixedClock(now - (ago - 0.5) * DAY_MS) };
		await answerFormCheck(later, challenge, person, coach.id, sent!.id, {
			cue: 'Straight, yes. Hands a little further back, under the shoulders.',
			mark: { x: 0.38, y: 0.62, at: 0 }
		});
	}
}
