export {
	DEFAULT_QUESTIONS,
	PAIN_KINDS,
	type PainKind,
	QUESTION_KEYS,
	QUESTIONS,
	SORE_AREAS,
	SORE_KEYS,
	SORENESS_WORDS,
	sorenessText,
	type Question,
	type SoreArea,
	type Soreness
} from './questions';
