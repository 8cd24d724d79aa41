import { redirect } from '@sveltejs/kit';
import { balanceOf } from '$core/analysis';
import { MUSCLES, type Muscle } from '$core/exercise';
import { wantedOf } from '$core/plan';
import { planIn } from '$lib/server/done/attendance/of-request';
import { answerRequest, requestsIn } from '$lib/server/contact/messages/requests';
import { carryOn } from '$lib/server/contact/post/letters';
import { practiceOf } from '$lib/server/records/practice';
import { versionById } from '$lib/server/training/session/sessions';
import type { VersionId } from '$lib/server/platform/ids';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

/** Days ahead whose sets are counted. */
const AHEAD = 7;

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge, day } = await parent();
	const requests = await requestsIn(app.db, challenge.id);
	const from = day ?? 0;
	const ahead = (await planIn(locals, challenge)).slice(from, from + AHEAD);
	const open = requests.filter(({ answeredAt }) => answeredAt === null);
	return {
		requests: requests.map((one) => ({ ...one, messageId: app.ids.uuid() })),
		wanted: wantedOf(open, await setsOf(locals, challenge.coachId, ahead)),
		from: ahead[0]?.day ?? null,
		to: ahead.at(-1)?.day ?? null
	};
};

/** Direct sets of the sessions on some days, by muscle. */
async function setsOf(
	{ app: { db } }: App.Locals,
	coachId: Parameters<typeof practiceOf>[1],
	days: readonly { versionId: VersionId | null; cancelled: string | null }[]
): Promise<Partial<Record<Muscle, number>>> {
	const practice = await practiceOf(db, coachId);
	const sets: Partial<Record<Muscle, number>> = {};
	for (const { versionId, cancelled } of days) {
		if (!versionId || cancelled !== null) continue;
		const { direct } = balanceOf((await versionById(db, versionId)).body, practice);
		for (const muscle of MUSCLES) sets[muscle] = (sets[muscle] ?? 0) + direct[muscle];
	}
	return sets;
}

export const actions: Actions = {
	answer: async (event) => {
		const { app } = event.locals;
		const form = await event.request.formData();
		const challenge = await ownChallenge(event);
		const person = await ownPerson(event, formText(form, 'person'));
		const [id, text] = [formText(form, 'id'), formText(form, 'text')];
		const raw = { answer: formText(form, 'answer'), text, messageId: formText(form, 'messageId') };
		const wants = (await requestsIn(app.db, challenge.id)).find((one) => one.id === id)?.wants ?? 'other';
		const done = await orFail(answerRequest(app, challenge, person, coachIn(event.locals).id, id, raw), {
			id,
			text
		});
		if ('failed' in done) return done.failed;
		await carryOn(app);
		// What was granted is done where it is done: the form for it is open.
		if (raw.answer === 'yes') redirect(303, `/c/${challenge.id}/people/${person.id}?change=${wants}#differs`);
		return { answered: true };
	}
};
