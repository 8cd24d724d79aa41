/** Values that several entities have, each with the words that say what would be right. */
import { lazy, mixed, number, string, type Lazy, type Schema } from 'yup';
import { isDate, isZone } from '$core/calendar';
import { zoneNamed } from '$core/people';

/** A whole number within bounds. */
export function whole(label: string, least: number, most: number) {
	const says = `${label}: a whole number from ${least} to ${most}`;
	return number().typeError(says).integer(says).min(least, says).max(most, says).required(says);
}

/** A number above 0. */
export function amount(label: string, most: number) {
	const says = `${label}: a number above 0, at most ${most}`;
	return number().typeError(says).moreThan(0, says).max(most, says).required(says);
}

/** A number within bounds. */
export function within(label: string, least: number, most: number) {
	const says = `${label}: a number from ${least} to ${most}`;
	return number().typeError(says).min(least, says).max(most, says).required(says);
}

/** A text on one line: line breaks and other control characters become blanks. */
export const onOneLine = (text: string): string => text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ').trim();

/** A text that has to be there, of any number of lines. */
export const filled = (most: number, missing: string, tooLong = `at most ${most} letters`) =>
	string().trim().max(most, tooLong).required(missing);

/** A name of somebody or something, which has to be there, on one line. */
export const name = (most: number, missing: string, tooLong?: string) =>
	string()
		.transform((text: unknown) => (typeof text === 'string' ? onOneLine(text) : text))
		.concat(filled(most, missing, tooLong));

const ZONES = Intl.supportedValuesOf('timeZone');
/** The zone that a text can only mean, or the text as it is. */
export const zoneFrom = (text: unknown): unknown =>
	typeof text === 'string' && text.trim() ? (zoneNamed(text, ZONES, isZone).zone ?? text.trim()) : text;

/** A time zone as the database writes it, or by a town that has one meaning, which is taken. */
export const zone = (missing = 'a time zone is needed, as in Europe/Oslo') =>
	string()
		.trim()
		.transform(zoneFrom)
		.test(
			'zone',
			({ value }) => noZone(String(value)),
			(value) => !value || isZone(value)
		)
		.required(missing);

/** What is said of a text that is no time zone. */
export function noZone(value: string): string {
	const named = zoneNamed(value, ZONES, isZone);
	const close = named.zone === null ? named.nearest : null;
	return `“${value}” isn’t a time zone; ${close ? `did you mean ${close}?` : 'one looks like Europe/Oslo'}`;
}

export const date = (says: string, missing: string) =>
	string()
		.test('date', says, (value) => !value || isDate(value))
		.required(missing)
		.meta({ json: { pattern: '^\\d{4}-\\d{2}-\\d{2}$' } });

export const TIME_OF_DAY = /^([01]\d|2[0-3]):[0-5]\d$/;
export const timeOfDay = () =>
	string().matches(TIME_OF_DAY, 'a time of day, as in 05:30').required('a time of day, as in 05:30');

/** Minutes after midnight of `HH:MM`. */
export const minutesOfDay = (time: string): number =>
	Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

export const email = (missing: string) =>
	string().trim().lowercase().email('${value} is not an email address').max(254).required(missing);

/** An email address, or nothing: such a person is given their link by hand. */
export const emailOrNone = () =>
	string().trim().lowercase().email('${value} is not an email address').max(254).default('');

const nullables = new WeakMap<object, Schema>();
/** The schema of a value that may be null; undefined for any other. For the published JSON Schema. */
export const innerOf = (schema: object): Schema | undefined => nullables.get(schema);

/** A value or null, for schemas whose words for what is missing would otherwise meet a null. */
export function orNull<T>(schema: Schema<T>): Lazy<T | null> {
	const nullable = lazy((value: unknown) => (value === null ? mixed().nullable() : schema));
	nullables.set(nullable, schema);
	return nullable as unknown as Lazy<T | null>;
}

const optionals = new WeakMap<object, Schema | Lazy<unknown>>();
/** The schema of a value that may be left out; undefined for any other. For the published JSON Schema. */
export const optionalOf = (schema: object): Schema | Lazy<unknown> | undefined => optionals.get(schema);

/** A value that may be left out. */
export function optional<T>(schema: Schema<T> | Lazy<T>): Lazy<T | undefined> {
	const maybe = lazy((value: unknown) => {
		if (value === undefined) return mixed().notRequired();
		return 'resolve' in schema ? (schema.resolve({ value }) as Schema<T>) : schema;
	});
	optionals.set(maybe, schema as Schema | Lazy<unknown>);
	return maybe as unknown as Lazy<T | undefined>;
}

/** What somebody writes of themselves; null where it is nothing. */
export const words = (max: number) =>
	string()
		.trim()
		.max(max, `at most ${max} letters`)
		.nullable()
		.transform((text: string) => text || null)
		.default(null);

/** An instant by the clock of the device, in milliseconds since 1970. */
export const instant = (what: string) =>
	number()
		.typeError(`${what} is an instant in milliseconds`)
		.integer(`${what} is in whole milliseconds`)
		.min(0, `${what} is not before 1970`)
		.max(8.64e15, `${what} is an instant in milliseconds`)
		.nullable()
		.default(null);
