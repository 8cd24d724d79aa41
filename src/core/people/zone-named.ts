import { nearest } from '../text/nearest';
import { plainName } from './plain-name';

/** What a text says of a time zone. */
export type ZoneNamed =
	/** The zone itself, or the only one that the text can mean. */
	| { zone: string; meant: boolean }
	/** No zone; the nearest where there is one. `several`: the zones that it may mean, where those are more than one. */
	| { zone: null; nearest: string | null; several?: string[] };

const cityOf = (zone: string): string => zone.split('/').at(-1) ?? '';

/** Towns by their plain name; a zone list is long and asked again and again. */
const byCity = new WeakMap<readonly string[], Map<string, string[]>>();
function citiesOf(zones: readonly string[]): Map<string, string[]> {
	const known = byCity.get(zones);
	if (known) return known;
	const made = new Map<string, string[]>();
	for (const zone of zones)
		made.set(plainName(cityOf(zone)), [...(made.get(plainName(cityOf(zone))) ?? []), zone]);
	byCity.set(zones, made);
	return made;
}

/** Abbreviations stand for several zones, or for the time of one half of a year; `UTC` and `GMT` alone are what they say. */
const ABBREVIATION =
	/^(?:[aceh]?[acehjkmnpw][ds]t|[aceikmnpw]st|[aemnpw]dt|[cew]es?t|[ab]st|msk|brt|art|hkt|sgt|wib|pkt|ph?t|gst|bst|ist|est5edt|cst6cdt|mst7mdt|pst8pdt)$/i;
export const isAbbreviation = (written: string): boolean =>
	!/^(?:utc|gmt)$/i.test(written) && (ABBREVIATION.test(written) || /^[A-Z]{3,4}$/.test(written));

/**
 * The time zone that a text names: as the database writes it, whatever the case and blanks (`europe/oslo`), or by its town
 * alone where that has one meaning (`Auckland`).
 *
 * Abbreviations are never taken: CST is a zone of America, of China and of Cuba.
 *
 * @param zones names of the IANA database
 * @param isZone whether a name is one, older names included
 */
export function zoneNamed(
	text: string,
	zones: readonly string[],
	isZone: (zone: string) => boolean
): ZoneNamed {
	const written = text.trim().replace(/\s+/g, '_');
	if (isAbbreviation(written)) return { zone: null, nearest: null, several: [] };
	if (isZone(written)) {
		const exact = zones.find((zone) => zone.toLowerCase() === written.toLowerCase());
		return { zone: exact ?? written, meant: exact !== undefined && exact !== written };
	}
	const cities = citiesOf(zones);
	const [only, ...others] = cities.get(plainName(cityOf(written))) ?? [];
	if (only && others.length === 0) return { zone: only, meant: true };
	if (only) return { zone: null, nearest: only, several: [only, ...others] };
	const close =
		nearest(written, zones) ??
		cities.get(nearest(plainName(cityOf(written)), [...cities.keys()]) ?? '')?.[0] ??
		null;
	return { zone: null, nearest: close };
}
