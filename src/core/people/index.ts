export { LEVELS, type Level } from './levels';
export {
	checkRoster,
	matchColumns,
	ROSTER_FIELDS,
	type ColumnMatch,
	type RosterLine,
	type RosterRow
} from './roster';
