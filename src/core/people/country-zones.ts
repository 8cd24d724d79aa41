/** Time zones of countries and of places that share a name. Countries and their zones: countries-and-timezones, from IANA's zone.tab. */
import { getAllCountries, getAllTimezones } from 'countries-and-timezones';
import { ownOf } from '../text/own';
import { plainName } from './plain-name';
import { peopleByZone, townsNamed, zonesMeant, type Town } from './towns';
import { isAbbreviation, zoneNamed, type ZoneNamed } from './zone-named';

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
	byName ??= new Map(
		Object.entries(getAllCountries()).flatMap(([code, { name }]) => [
			[plainName(name), code],
			[code.toLowerCase(), code]
		])
	);
	return ownOf(ALSO, plain) ?? byName.get(plain) ?? null;
}

/**
 * Zones that are in use in a country, one of each clock, the one with the largest town first: Europe/Oslo for Norway.
 *
 * @param zones names that may be used
 */
function zonesOfCountry(code: string, zones: readonly string[]): readonly string[] {
	const known = byCountry.get(zones) ?? new Map<string, readonly string[]>();
	byCountry.set(zones, known);
	const found = known.get(code) ?? findZones(code, zones);
	known.set(code, found);
	return found;
}
/** By the list of names, then by country: a list of people asks for the same few countries thousands of times. */
const byCountry = new WeakMap<readonly string[], Map<string, readonly string[]>>();

function findZones(code: string, zones: readonly string[]): string[] {
	const allowed = new Set(zones);
	const people = peopleByZone(code);
	const own = Object.values(getAllTimezones({ deprecated: true })).filter(
		({ name: zone, countries }) =>
			(countries as readonly string[]).includes(code) && zone.includes('/') && allowed.has(zone)
	);
	/** By size; without a town in the list own names before those that are shared with other countries. */
	const before = (a: (typeof own)[number], b: (typeof own)[number]): number =>
		(people.get(b.name) ?? 0) - (people.get(a.name) ?? 0) || a.countries.length - b.countries.length;
	const clocks = new Set<string>();
	return own
		.sort(before)
		.filter(({ utcOffset, dstOffset }) => {
			const clock = `${utcOffset} ${dstOffset}`;
			if (clocks.has(clock)) return false;
			clocks.add(clock);
			return true;
		})
		.map(({ name }) => name);
}

/** A place in a list as it is written: `Portland, Oregon`, `San José (Costa Rica)`. */
function placeParts(text: string): { town: string; within: string | null } {
	const [town = '', within] = text.split(/[,(]/);
	return { town: town.trim(), within: within?.replace(')', '').trim() || null };
}

/**
 * Towns of the name, and the country that they are in where it is known. What follows a comma is first a part of a country
 * (ME: Maine), then a country, and a code of two letters only where a town of the name is there (ME: Montenegro).
 * `isUnread`: it is neither.
 */
function townsWithin(
	{ town, within }: ReturnType<typeof placeParts>,
	country: string | null
): { towns: readonly Town[]; code: string | null; isUnread?: true } {
	const code = countryNamed(country ?? '');
	const all = townsNamed(town).filter((one) => code === null || one.country === code);
	if (within === null) return { towns: all, code };
	const region = all.filter(({ regions }) => regions.includes(plainName(within)));
	if (region.length > 0) return { towns: region, code: region[0]?.country ?? null };
	const named = code ?? countryNamed(within);
	const there = all.filter((one) => one.country === named);
	if (named !== null && (there.length > 0 || within.length > 2)) return { towns: there, code: named };
	return { towns: all, code, isUnread: true };
}

/** The answer for zones of which one is meant. */
const oneOf = ([first, ...others]: readonly string[]): ZoneNamed | null =>
	first === undefined
		? null
		: others.length === 0
			? { zone: first, meant: true }
			: { zone: null, nearest: first, several: [first, ...others] };

/**
 * The time zone of a place in a list, with the country beside it: it decides between places of one name, and says the zone
 * by itself where it has one alone. Of places of one name without a country the far largest is taken, otherwise all are named.
 *
 * @param text a zone or a town; a country or a part of one may follow after a comma
 * @param country as it is written; null or empty: the list does not say
 */
export function zoneOfPlace(
	text: string,
	country: string | null,
	zones: readonly string[],
	isZone: (zone: string) => boolean
): ZoneNamed {
	const parts = placeParts(text);
	const { town } = parts;
	const { towns, code, isUnread } = townsWithin(parts, country);
	const own = code === null ? [] : zonesOfCountry(code, zones);
	const ofCountry: ZoneNamed | null =
		own.length > 1 ? { zone: null, nearest: null, several: [...own] } : oneOf(own);
	if (!town) return ofCountry ?? { zone: null, nearest: null };
	if (isAbbreviation(town) || isZone(town) || town.includes('/')) return zoneNamed(town, zones, isZone);
	const meant = oneOf(zonesMeant(towns.filter(({ zone }) => isZone(zone))));
	// Paris in a Texas that the list does not know is not the one in France.
	const isElsewhere = isUnread && code === null;
	if (meant && !isElsewhere) return meant;
	const named = zoneNamed(town, zones, isZone);
	const nearest = (meant ?? named).zone;
	if (isElsewhere && nearest !== null) return { zone: null, nearest };
	const here = named.zone === null ? (named.several ?? []) : [named.zone];
	const inCountry = oneOf(here.filter((zone) => own.includes(zone)));
	if (inCountry) return inCountry;
	// A town that no list has, in a country that is known.
	return named.zone === null && named.several === undefined ? (ofCountry ?? named) : named;
}
