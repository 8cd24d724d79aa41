export { chosenFor, hasLevels, type Choice } from './choose';
export {
	KIT_PRESETS,
	PRESET_KITS,
	SCALE_LEVELS,
	scaleSession,
	type KitPreset,
	type Scaled,
	type ScaleLevel
} from './scaling';
export { canDo, substitute, type Fitting } from './substitute';
export { substituteAt, substitutePart } from './substitute-part';
