export { areaText } from './area-text';
export { mentionsHealth } from './mentions-health';
export {
	AGE_BANDS,
	effortMostOn,
	BALANCES,
	FLOOR_WAYS,
	isRateGuide,
	limitsOn,
	pregnantWeekOn,
	SCREEN_KEYS,
	SCREEN_QUESTIONS,
	SORE_PLACES,
	SORENESS,
	STANCES,
	WEEKS,
	weeksSinceBirthOn,
	type AgeBand,
	type HealthAnswers,
	type ScreenKey,
	type SorePlace,
	type Soreness
} from './answers';
export { holdAt, holdsFrom, holdsOf, type Clearance, type Hold, type HoldReason } from './holds';
export { adviseOn, ASK_AGAIN_DAYS, painLimits, type PainAdvice, type PainReport } from './pain';
export { readPain } from './read-pain';
export { screen, type Screening, type ScreenReason } from './screen';
export { STOP_SIGN_KEYS, STOP_SIGN_WORDS } from './stop-signs';
