import { describe, expect, it } from 'vitest';
import { isZone } from '../calendar';
import { zoneNamed } from './zone-named';

const ZONES = Intl.supportedValuesOf('timeZone');
const named = (text: string) => zoneNamed(text, ZONES, isZone);

describe('zoneNamed', () => {
	it('takes a name of the database as it is', () => {
		expect(named('Europe/Oslo')).toEqual({ zone: 'Europe/Oslo', meant: false });
		// An older name that the list does not have.
		expect(named('Asia/Saigon').zone).toBe('Asia/Saigon');
	});

	it.each([
		['Auckland', 'Pacific/Auckland'],
		['auckland', 'Pacific/Auckland'],
		['europe/oslo', 'Europe/Oslo'],
		['New York', 'America/New_York'],
		['America / New York'.replace(/ \/ /, '/'), 'America/New_York'],
		['São Paulo', 'America/Sao_Paulo'],
		['St Johns', 'America/St_Johns']
	])('takes %j for the one that it can mean and says so', (text, zone) => {
		expect(named(text).zone).toBe(zone);
	});

	it('says that it was meant, and not written', () => {
		expect(named('Auckland')).toEqual({ zone: 'Pacific/Auckland', meant: true });
		expect(named('Europe/Oslo')).toEqual({ zone: 'Europe/Oslo', meant: false });
	});

	it('of two meanings takes neither', () => {
		const two = ['Europe/Springfield', 'America/Springfield'];
		expect(zoneNamed('Springfield', two, (zone) => two.includes(zone))).toEqual({
			zone: null,
			nearest: 'Europe/Springfield',
			several: two
		});
	});

	it('names the nearest of what is no zone, by the whole or by the town', () => {
		expect(named('Europe/Stokholm')).toEqual({ zone: null, nearest: 'Europe/Stockholm' });
		expect(named('Aukland')).toEqual({ zone: null, nearest: 'Pacific/Auckland' });
		expect(named('the hut')).toEqual({ zone: null, nearest: null });
	});
});
