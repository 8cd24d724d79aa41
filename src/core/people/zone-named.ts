import { nearest } from '../text/nearest';

/** What a text says of a time zone. */
export type ZoneNamed =
	/** The zone itself, or the only one that the text can mean. */
	| { zone: string; meant: boolean }
	/** No zone; the nearest where there is one. */
	| { zone: null; nearest: string | null };

const plain = (text: string): string =>
	text
		.normalize('NFD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[\s_-]+/g, ' ')
		.trim();
const cityOf = (zone: string): string => zone.split('/').at(-1) ?? '';

/** Towns by their plain name; a zone list is long and asked again and again. */
const byCity = new WeakMap<readonly string[], Map<string, string[]>>();
function citiesOf(zones: readonly string[]): Map<string, string[]> {
	const known = byCity.get(zones);
	if (known) return known;
	const made = new Map<string, string[]>();
	for (const zone of zones) made.set(plain(cityOf(zone)), [...(made.get(plain(cityOf(zone))) ?? []), zone]);
	byCity.set(zones, made);
	return made;
}

/**
 * The time zone that a text names: as the database writes it, whatever the case and blanks (`europe/oslo`), or by its town
 * alone where that has one meaning (`Auckland`).
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
	if (isZone(written)) {
		const exact = zones.find((zone) => zone.toLowerCase() === written.toLowerCase());
		return { zone: exact ?? written, meant: exact !== undefined && exact !== written };
	}
	const cities = citiesOf(zones);
	const [only, ...others] = cities.get(plain(cityOf(written))) ?? [];
	if (only && others.length === 0) return { zone: only, meant: true };
	const close =
		nearest(written, zones) ??
		cities.get(nearest(plain(cityOf(written)), [...cities.keys()]) ?? '')?.[0] ??
		null;
	return { zone: null, nearest: close };
}
