/**
 * What an exercise demands of the body, as data: every limit, substitution and check reads these fields and never a name
 * or a caution.
 *
 * Rated by picturing the movement as its cues describe it, at a usual load, for a healthy adult with some experience. The
 * scale of 0 to 3 and its anchors are common practice, no source; docs/exercise-demands.md prints it with every rating.
 */
export const JOINTS = ['neck', 'shoulder', 'elbow', 'wrist', 'back', 'hip', 'knee', 'ankle'] as const;
export type Joint = (typeof JOINTS)[number];

/** Fields rated from 0 to 3: the joints, and the pressure on abdomen and pelvic floor. */
export const RATED = [...JOINTS, 'trunkPressure'] as const;
export type Rated = (typeof RATED)[number];

/** 0 practically none; 1 light; 2 moderate, a sore joint needs an alternative; 3 high, left out with a sore joint. */
export const RATINGS = [0, 1, 2, 3] as const;
export type Rating = (typeof RATINGS)[number];

/** Highest position of the arms relative to the trunk, the lowest first. */
export const ARM_HEIGHTS = ['down', 'shoulder', 'overhead'] as const;
export type ArmHeight = (typeof ARM_HEIGHTS)[number];

/** `low`: ballistic without flight, or quick steps; `high`: flight and landing. The gentlest first. */
export const IMPACTS = ['none', 'low', 'high'] as const;
export type Impact = (typeof IMPACTS)[number];

/** Where it can be done, the smallest place first. */
export const SPACES = ['spot', 'room', 'stairs', 'outdoors'] as const;
export type Space = (typeof SPACES)[number];

/** `long`: a straight limb or the whole straight body; `short`: bent limbs, or knees on the floor. */
export const LEVERS = ['none', 'short', 'long'] as const;
export type Lever = (typeof LEVERS)[number];

export interface Demands extends Readonly<Record<Rated, Rating>> {
	readonly arms: ArmHeight;
	/** 0 lying, seated or both feet still; 1 staggered or both feet moving; 2 one leg, or quick turns; 3 airborne, or one leg with a large movement. */
	readonly balance: Rating;
	/** Whether one hand can rest on a chair, wall or rail without spoiling the movement; true where balance is 0. */
	readonly canHoldOn: boolean;
	readonly impact: Impact;
	/** Whether it takes getting down to the floor and up. */
	readonly floorTransfer: boolean;
	readonly space: Space;
	readonly lever: Lever;
	/**
	 * Kilograms per hand (two weights) or in all (one weight, a pack), relative to a goblet squat of 1 by the same person at
	 * the same effort; null if no weight is held.
	 */
	readonly relativeLoad: number | null;
}

/** What a coach has said of an exercise of her own; a field that is left out counts as the highest of its pattern. */
export type DemandInput = Partial<Demands>;

export const DEMAND_WORDS: Readonly<Record<Rated, string>> = {
	neck: 'Neck',
	shoulder: 'Shoulder',
	elbow: 'Elbow',
	wrist: 'Wrist',
	back: 'Back',
	hip: 'Hip',
	knee: 'Knee',
	ankle: 'Ankle',
	trunkPressure: 'Trunk pressure'
};

/** Bounds of the relative load of an own exercise; inclusive. */
export const RELATIVE_LOAD = { least: 0.05, most: 3 } as const;
