/** Towns with their country, time zone and size: city-timezones, some 7,300 places. */
import { cityMapping } from 'city-timezones';
import { plainName } from './plain-name';

export interface Town {
	/** ISO 3166-1, two letters. */
	country: string;
	/** Of the IANA database; older names may be among them. */
	zone: string;
	/** Plain names and codes of the part of the country that it is in. */
	regions: readonly string[];
	/** About how many live there. */
	people: number;
}

/** The list by the names of its towns, and for each country the size of the largest town in each zone. */
interface Index {
	byName: ReadonlyMap<string, readonly Town[]>;
	largest: ReadonlyMap<string, ReadonlyMap<string, number>>;
}
let index: Index | null = null;

function read(): Index {
	const byName = new Map<string, Town[]>();
	const largest = new Map<string, Map<string, number>>();
	for (const { city, city_ascii: ascii, iso2, timezone, province, state_ansi: state, pop } of cityMapping) {
		// A few places of the list have no zone.
		if (!timezone) continue;
		const town: Town = {
			country: iso2,
			zone: timezone,
			regions: [province, state ?? ''].filter(Boolean).map(plainName),
			people: Number.isFinite(pop) ? pop : 0
		};
		for (const name of new Set([plainName(city), plainName(ascii)]))
			byName.set(name, [...(byName.get(name) ?? []), town]);
		const zones = largest.get(iso2) ?? new Map<string, number>();
		zones.set(timezone, Math.max(town.people, zones.get(timezone) ?? 0));
		largest.set(iso2, zones);
	}
	return { byName, largest };
}

/** Towns of a name, whatever its accents and case; none where it is not known. */
export const townsNamed = (name: string): readonly Town[] =>
	(index ??= read()).byName.get(plainName(name)) ?? [];

/** People of the largest town that the list has in each zone, in one country. */
export const peopleByZone = (country: string): ReadonlyMap<string, number> =>
	(index ??= read()).largest.get(country) ?? new Map<string, number>();

/** A zone is taken without a question if its town has this many times the people of all other towns of the name. */
const FAR_LARGER = 20;

/**
 * The zones that towns may stand for, the one with most people first; one alone where it is far the largest: London on its
 * own is the one in England, San José is asked about.
 */
export function zonesMeant(towns: readonly Town[]): string[] {
	const people = new Map<string, number>();
	for (const { zone, people: count } of towns) people.set(zone, Math.max(count, people.get(zone) ?? 0));
	const zones = [...people].sort(([, a], [, b]) => b - a);
	const [first, ...others] = zones;
	if (!first) return [];
	const rest = others.reduce((sum, [, count]) => sum + count, 0);
	// Of towns whose size is not known none is the largest.
	const isMeant = others.length === 0 || (first[1] > 0 && first[1] >= FAR_LARGER * rest);
	return isMeant ? [first[0]] : zones.map(([zone]) => zone);
}
