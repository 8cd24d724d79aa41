export { likeness } from './candidates';
export { chosenByCoach, hasLevels, levelIsLoad, meantFor, stepped } from './choose';
export {
	KIT_PRESETS,
	PRESET_KITS,
	SCALE_LEVELS,
	scaleSession,
	type KitPreset,
	type Scaled,
	type ScaleLevel
} from './scaling';
export { canDo, firstSubstitute, obstacles, substitute, type Fitting } from './substitute';
export { substituteAt, substitutePart } from './substitute-part';
