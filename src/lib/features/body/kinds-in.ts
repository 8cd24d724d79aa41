import { MEASURE_KINDS, type Measured, type MeasureKind } from '$core/measures';

/** Measures by their kind, those of which there are none left out. */
export const kindsIn = (
	measures: readonly (Measured & { kind: MeasureKind })[]
): { kind: MeasureKind; values: Measured[] }[] =>
	MEASURE_KINDS.map((kind) => ({ kind, values: measures.filter((one) => one.kind === kind) })).filter(
		({ values }) => values.length > 0
	);
