export {
	KIT_PRESETS,
	SCALE_LEVELS,
	scaleSession,
	type KitPreset,
	type Scaled,
	type ScaleLevel
} from './scaling';
export { substitutePart } from './substitute-part';
