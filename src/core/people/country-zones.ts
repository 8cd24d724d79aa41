/** Time zones of countries and of places that share a name. Countries and their zones: countries-and-timezones, from IANA's zone.tab. */
import { getAllCountries, getAllTimezones } from 'countries-and-timezones';
import { plainName } from './plain-name';
import { zoneNamed, type ZoneNamed } from './zone-named';

/** Names under which lists have countries, beside those of the package. */
const ALSO: Readonly<Record<string, string>> = {
	uk: 'GB',
	'great britain': 'GB',
	england: 'GB',
	scotland: 'GB',
	wales: 'GB',
	usa: 'US',
	us: 'US',
	'united states': 'US',
	america: 'US',
	uae: 'AE',
	holland: 'NL',
	'the netherlands': 'NL',
	'south korea': 'KR',
	korea: 'KR',
	russia: 'RU',
	czechia: 'CZ',
	vietnam: 'VN',
	iran: 'IR',
	tanzania: 'TZ',
	bolivia: 'BO',
	venezuela: 'VE'
};

let byName: Map<string, string> | null = null;

/** The two-letter code of a country by its name or code, or null. */
export function countryNamed(text: string): string | null {
	const plain = plainName(text);
	if (!plain) return null;
	const all = getAllCountries();
	byName ??= new Map(
		Object.entries(all).flatMap(([code, { name }]) => [
			[plainName(name), code],
			[code.toLowerCase(), code]
		])
	);
	return ALSO[plain] ?? byName.get(plain) ?? null;
}

/**
 * Zones that are in use in a country, one of each clock, by the names that are its own: Europe/Oslo for Norway.
 *
 * @param zones names that may be used
 */
function zonesOfCountry(code: string, zones: readonly string[]): string[] {
	const allowed = new Set(zones);
	const own = Object.values(getAllTimezones({ deprecated: true })).filter(
		({ name: zone, countries }) =>
			(countries as readonly string[]).includes(code) && zone.includes('/') && allowed.has(zone)
	);
	/** Own names before those that are shared with other countries, the main country of a zone before others. */
	const rank = ({ countries }: (typeof own)[number]): number =>
		countries.length === 1 ? 0 : countries[0] === code ? 1 : 2;
	const byClock = new Map<string, (typeof own)[number]>();
	for (const zone of own) {
		const clock = `${zone.utcOffset} ${zone.dstOffset}`;
		const known = byClock.get(clock);
		if (!known || rank(zone) < rank(known)) byClock.set(clock, zone);
	}
	return [...byClock.values()].map(({ name }) => name).sort();
}

/** Places that share a name with another one far away, with their country and zone (IANA; a selection, from memory). */
const SHARED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
	alexandria: { EG: 'Africa/Cairo', US: 'America/New_York' },
	barcelona: { ES: 'Europe/Madrid', VE: 'America/Caracas' },
	birmingham: { GB: 'Europe/London', US: 'America/Chicago' },
	cambridge: { GB: 'Europe/London', US: 'America/New_York' },
	cartagena: { CO: 'America/Bogota', ES: 'Europe/Madrid' },
	cordoba: { AR: 'America/Argentina/Cordoba', ES: 'Europe/Madrid' },
	georgetown: { GY: 'America/Guyana', MY: 'Asia/Kuala_Lumpur', US: 'America/Chicago' },
	granada: { ES: 'Europe/Madrid', NI: 'America/Managua' },
	guadalajara: { MX: 'America/Mexico_City', ES: 'Europe/Madrid' },
	hamilton: { CA: 'America/Toronto', NZ: 'Pacific/Auckland', BM: 'Atlantic/Bermuda' },
	hyderabad: { IN: 'Asia/Kolkata', PK: 'Asia/Karachi' },
	kingston: { JM: 'America/Jamaica', CA: 'America/Toronto' },
	'la paz': { BO: 'America/La_Paz', MX: 'America/Mazatlan' },
	leon: { MX: 'America/Mexico_City', ES: 'Europe/Madrid', NI: 'America/Managua' },
	manchester: { GB: 'Europe/London', US: 'America/New_York' },
	merida: { MX: 'America/Merida', VE: 'America/Caracas', ES: 'Europe/Madrid' },
	naples: { IT: 'Europe/Rome', US: 'America/New_York' },
	newcastle: { GB: 'Europe/London', AU: 'Australia/Sydney' },
	portland: { US: 'America/Los_Angeles' },
	richmond: { US: 'America/New_York', CA: 'America/Vancouver' },
	'san jose': { US: 'America/Los_Angeles', CR: 'America/Costa_Rica' },
	'san juan': { PR: 'America/Puerto_Rico', AR: 'America/Argentina/San_Juan' },
	santiago: { CL: 'America/Santiago', DO: 'America/Santo_Domingo', ES: 'Europe/Madrid' },
	toledo: { ES: 'Europe/Madrid', US: 'America/New_York' },
	tripoli: { LY: 'Africa/Tripoli', LB: 'Asia/Beirut' },
	valencia: { ES: 'Europe/Madrid', VE: 'America/Caracas' },
	victoria: { CA: 'America/Vancouver', SC: 'Indian/Mahe' }
};

/** Zones of the places that have a name, by country; null where there is one such place at most. */
const sharedPlace = (plain: string): Readonly<Record<string, string>> | null => SHARED[plain] ?? null;

/**
 * The time zone of a place in a list, with the country beside it: it decides between places of one name, and says the zone
 * by itself where it has one alone. Otherwise as `zoneNamed`.
 *
 * @param country as it is written; null or empty: the list does not say
 */
export function zoneOfPlace(
	text: string,
	country: string | null,
	zones: readonly string[],
	isZone: (zone: string) => boolean
): ZoneNamed {
	const code = country ? countryNamed(country) : null;
	const own = code === null ? [] : zonesOfCountry(code, zones);
	const [single, ...more] = own;
	const byCountry: ZoneNamed | null =
		single && more.length === 0
			? { zone: single, meant: true }
			: own.length > 1
				? { zone: null, nearest: null, several: own }
				: null;
	const place = plainName(text);
	if (!place) return byCountry ?? { zone: null, nearest: null };
	const shared = text.includes('/') ? null : sharedPlace(place);
	if (shared) {
		const there = code === null ? undefined : shared[code];
		if (there) return { zone: there, meant: true };
		const places = [...new Set(Object.values(shared))];
		if (places.length > 1 && code === null)
			return { zone: null, nearest: places[0] ?? null, several: places };
	}
	const named = zoneNamed(text, zones, isZone);
	if (named.zone !== null || named.several?.length === 0) return named;
	const here = named.several?.filter((zone) => own.includes(zone)) ?? [];
	if (here.length === 1 && here[0]) return { zone: here[0], meant: true };
	// A town that the database does not have, in a country that is known.
	return named.several ? named : (byCountry ?? named);
}
