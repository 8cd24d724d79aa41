import { mixed, object, string } from 'yup';
import { UNITS, type Units } from '$core/kit';
import { INVITED_ROLES, type InvitedRole } from '$core/people';
import { email, name, zone } from './values';

const coachName = () => name(80, 'a name is needed', 'a name has at most 80 letters');

const password = () =>
	string()
		.min(12, 'a password has at least 12 characters')
		.max(128, 'a password has at most 128 characters')
		.required('a password is needed');

/**
 * A password that takes the place of another: at least as long as is hard to try through, at most as long as is hashed in a
 * moment (OWASP ASVS 4.0.3, 2.1.1 and 2.1.2).
 */
export const passwordSchema = object({ password: password() });

export const newCoachSchema = object({
	email: email('an email address is needed'),
	name: coachName(),
	zone: zone(),
	password: password()
});

/** What coaches say of themselves. */
export const profileSchema = object({
	email: email('an email address is needed'),
	name: coachName(),
	zone: zone(),
	/** In which they read loads. */
	units: mixed<Units>()
		.oneOf([...UNITS], 'kilograms or pounds')
		.default('kg')
});

const role = () =>
	mixed<InvitedRole>()
		.oneOf([...INVITED_ROLES], 'choose what they do')
		.required('choose what they do');

/** Somebody who is asked to help with a challenge, or to look on. */
export const invitationSchema = object({
	forWhom: name(80, 'say whom it is for', 'a name has at most 80 letters'),
	role: role()
});

export const roleSchema = object({ role: role() });
