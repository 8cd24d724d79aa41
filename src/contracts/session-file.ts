import { number, object, string } from 'yup';
import { sessionReference, tagsSchema } from './session';
import { name } from './values';

export const FILE_KIND = 'cadrex session';
export const FILE_VERSION = 1;

export const NOT_A_SESSION = `this is not a session: kind is “${FILE_KIND}” in one`;

/** How a session leaves the application and comes back; the session in it is looked at by its own rules. */
export const sessionFileSchema = object({
	kind: string().oneOf([FILE_KIND], NOT_A_SESSION).required(NOT_A_SESSION),
	version: number().oneOf([FILE_VERSION]).required(),
	name: name(80, 'the session has no name', 'a name has at most 80 letters'),
	tags: tagsSchema,
	session: sessionReference
}).noUnknown();
