export {
	againstFor,
	againstText,
	DEFAULT_AUDIENCE,
	kitOf,
	limitsFor,
	type Against,
	type Audience
} from './audience';
export { LEVELS, type Level } from './levels';
export {
	CELL_SHOWN,
	checkRoster,
	matchColumns,
	ROSTER_FIELDS,
	type ColumnMatch,
	type RosterFault,
	type RosterLine,
	type RosterRow
} from './roster';
export { zoneNamed, type ZoneNamed } from './zone-named';
