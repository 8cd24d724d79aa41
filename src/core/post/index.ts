export { isMeant, type Addressee, type Audience } from './audience';
export { afterQuiet, type QuietHours } from './quiet';
export {
	fillTemplate,
	readTemplate,
	TEMPLATE_FIELDS,
	type FieldValues,
	type Filled,
	type TemplateField
} from './template';
export { isFinal, MOST_TRIES, nextTry } from './tries';
