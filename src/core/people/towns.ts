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

let byName: Map<string, Town[]> | null = null;

function read(): Map<string, Town[]> {
	const made = new Map<string, Town[]>();
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
			made.set(name, [...(made.get(name) ?? []), town]);
	}
	return made;
}

/** Towns of a name, whatever its accents and case; none where it is not known. */
export const townsNamed = (name: string): readonly Town[] => (byName ??= read()).get(plainName(name)) ?? [];

/** People of the largest town that the list has in each zone, in one country. */
export function peopleByZone(country: string): ReadonlyMap<string, number> {
	const most = new Map<string, number>();
	for (const { iso2, timezone, pop } of cityMapping)
		if (iso2 === country && timezone && pop > (most.get(timezone) ?? 0)) most.set(timezone, pop);
	return most;
}

/** How many times as many people live in the zone that is meant, than in the others together, for it to be taken unasked. */
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
	return first[1] >= FAR_LARGER * rest ? [first[0]] : zones.map(([zone]) => zone);
}
