/** Requests with answers, whoever gives them: a section with PUT, everything with POST. */
import { object, mixed, string } from 'yup';
import type { MadeBy } from '../../records/standing-row';
import type { Context } from '../../platform/context';
import { Refusal } from '../../platform/errors';
import type { ParticipantId } from '../../platform/ids';
import { orJson } from '../web/http';
import { parseJson } from '../../platform/json';
import { validate } from '../../platform/validate';
import { finishIntake, saveSection } from '../../people/intake';

async function bodyOf(request: Request): Promise<unknown> {
	try {
		return parseJson(await request.text());
	} catch {
		throw new Refusal(400, 'Answers come as JSON.');
	}
}

const sectionSchema = object({
	section: string().required('say which section'),
	answers: mixed().required()
});
const allSchema = object({
	id: string().uuid('an id is a UUID').required('answers carry their own id'),
	sections: mixed<Record<string, unknown>>().required('the answers are missing')
});

/** Keeps a section. */
export const putSection = (context: Context, id: ParticipantId, request: Request): Promise<Response> =>
	orJson(async () => {
		const { section, answers } = validate(sectionSchema, await bodyOf(request));
		await saveSection(context, id, section, answers);
		return new Response(null, { status: 204 });
	});

/** Takes everything; the same id once more changes nothing. */
export const postAnswers = (
	context: Context,
	id: ParticipantId,
	madeBy: Exclude<MadeBy, 'rule'>,
	request: Request
): Promise<Response> =>
	orJson(async () => {
		const given = validate(allSchema, await bodyOf(request));
		const screening = await finishIntake(context, id, madeBy, given.sections, given.id);
		return Response.json({ screening });
	});
