/** What a form brings, as a file or pasted, and what goes back into its box. */
import { formText } from './form-text';
import { type Given } from '../../platform/text-file';

/** Letters of a pasted text that are sent back at most: a page holds them twice. */
const MOST_GIVEN_BACK = 1_000_000;

/**
 * What goes back into the box: the text of a file, which takes the file's place there, or what was pasted.
 * @returns undefined for a very long pasted text: it is in the box already and stays there
 */
export function givenBack(given: Given, text = given.pasted): string | undefined {
	return given.bytes || text.length <= MOST_GIVEN_BACK ? text : undefined;
}

/** What a form brings: the bytes of its file, or what was pasted into the field of that name. */
export async function givenIn(form: FormData, field: string): Promise<Given> {
	const file = form.get('file');
	const bytes = file instanceof File && file.size > 0 ? new Uint8Array(await file.arrayBuffer()) : null;
	return { bytes, pasted: formText(form, field) };
}
