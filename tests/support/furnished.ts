/** A world in which there is something of every kind that an address or a form can name. */
import { STOP_SIGN_KEYS } from '$core/health';
import { invite } from '$lib/server/training/challenge/coaches';
import { writeToCoach } from '$lib/server/contact/messages/messages';
import { addPicture } from '$lib/server/people/body/pictures';
import { reportStop } from '$lib/server/contact/incidents/incidents';
import { addDocument } from '$lib/server/people/health/documents';
import { sendFormCheck } from '$lib/server/contact/messages/form-checks';
import { joinSettingOf, openJoin } from '$lib/server/people/join';
import { addNote } from '$lib/server/people/notes';
import type { Queries } from '$lib/server/platform/db/database';
import { inviteHelper } from './coaches';
import { ownPersonOf, type TestContext, type World } from './context';
import { CLIP, PAPER, smallPicture, storeIn } from './kept-files';
import { sent } from './sent';

/** Furnishes it. @param directory the data directory, for files */
export async function furnish(bare: TestContext, world: World, directory: string): Promise<void> {
	const context = { ...bare, config: storeIn(directory) };
	await openJoin(context, world.challenge, { capacity: '' });
	await inviteHelper(context, world, 'Kaija', 'coach');
	await invite(context, world.challenge, world.coach.id, { forWhom: 'Vesa', role: 'viewer' });
	for (const person of world.people) {
		const own = await ownPersonOf(context, world, person.enrolmentId);
		await addNote(context, own, { body: 'Likes the early hour.' });
		await writeToCoach(context, person, { id: context.ids.uuid(), text: 'Better today.' });
		await reportStop(context, person, {
			id: context.ids.uuid(),
			sign: STOP_SIGN_KEYS[0],
			note: '',
			stoppedAt: context.clock.now(),
			sentAt: context.clock.now()
		});
		await sent(PAPER, (file) => addDocument(context, own, file), 'letter.pdf');
		await sent(await smallPicture(), (file) =>
			addPicture(context, person, { view: 'front', on: '2026-11-24', shared: true }, file)
		);
		await sent(CLIP, (file) => sendFormCheck(context, person, { exercise: 'Squat', note: '' }, file));
	}
}

/** Some ids of every table that has any. */
export async function allIds(db: Queries): Promise<string[]> {
	const columns = await db.query<{ name: string }>(
		`select quote_ident(table_name) as name from information_schema.columns
		 where table_schema = 'public' and column_name = 'id' and data_type = 'uuid' order by table_name`
	);
	const found = [];
	for (const { name } of columns)
		found.push(...(await db.query<{ id: string }>(`select id::text as id from ${name} order by id limit 3`)));
	return found.map(({ id }) => id);
}

/** Values of parameters that addresses have, by name; all of the last person, whose cookie nobody uses. */
export async function oneOfEach(db: Queries, world: World): Promise<Record<string, string>> {
	const person = world.people[2]!;
	const idIn = async (table: string, of: 'participant_id' | 'enrolment_id') => {
		const [one] = await db.query<{ id: string }>(`select id::text as id from ${table} where ${of} = $1`, [
			of === 'participant_id' ? person.participantId : person.enrolmentId
		]);
		if (!one) throw new Error(`there is no ${table}`);
		return one.id;
	};
	return {
		document: await idIn('document', 'participant_id'),
		photo: await idIn('picture', 'participant_id'),
		check: await idIn('form_check', 'enrolment_id'),
		code: (await joinSettingOf(db, world.challenge.id)).code ?? ''
	};
}
