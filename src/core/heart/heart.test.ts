import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandFrom, bandOf, BANDS, beside, highestRate, readMeasurement, StandInHeart, summaryOf } from '.';
import { rateAt, shareOfReserve } from './bands';
import { writeMeasurement } from './measurement';

const bytes = (...all: number[]) => new DataView(new Uint8Array(all).buffer);
const inBytes = (view: DataView) => [...new Uint8Array(view.buffer)];

/**
 * Heart Rate Service 1.0, characteristic Heart Rate Measurement: flags, then the rate with 8 or 16 bits, energy and RR intervals,
 * the least significant byte first. Bytes worked by hand from that layout.
 */
describe('the value that a strap sends', () => {
	it.each([
		['8 bits, and nothing else', [0x00, 72], { bpm: 72, contact: null, energy: null, rr: [] }],
		['16 bits', [0x01, 0x2c, 0x01], { bpm: 300, contact: null, energy: null, rr: [] }],
		['contact', [0x06, 140], { bpm: 140, contact: true, energy: null, rr: [] }],
		['contact that is lost', [0x04, 0], { bpm: 0, contact: false, energy: null, rr: [] }],
		['contact that the strap can not tell', [0x02, 90], { bpm: 90, contact: null, energy: null, rr: [] }],
		['energy', [0x08, 100, 0x10, 0x27], { bpm: 100, contact: null, energy: 10_000, rr: [] }],
		[
			'two RR intervals, of 1 s and 0.75 s',
			[0x16, 80, 0x00, 0x04, 0x00, 0x03],
			{ bpm: 80, contact: true, energy: null, rr: [1, 0.75] }
		],
		[
			'everything, with 16 bits',
			[0x1f, 0x58, 0x00, 0x01, 0x00, 0x00, 0x02],
			{ bpm: 88, contact: true, energy: 1, rr: [0.5] }
		]
	])('is read: %s', (_, value, read) => {
		expect(readMeasurement(bytes(...value))).toEqual(read);
	});
	it.each([
		['nothing', []],
		['flags alone', [0x00]],
		['half of 16 bits', [0x01, 0x2c]],
		['no energy', [0x08, 100, 0x10]]
	])('is refused where it is too short: %s', (_, value) => {
		expect(() => readMeasurement(bytes(...value))).toThrow(/bytes, where the flags ask for at least/);
	});
	it('leaves half an interval aside', () => {
		expect(readMeasurement(bytes(0x10, 80, 0x00, 0x04, 0x07)).rr).toEqual([1]);
	});
	it('is a part of a longer buffer, as a browser hands it over', () => {
		const whole = new Uint8Array([9, 9, 0x00, 72, 9]);
		expect(readMeasurement(new DataView(whole.buffer, 2, 2)).bpm).toBe(72);
	});
	it('is the same again after it was written', () => {
		fc.assert(
			fc.property(
				fc.record({
					bpm: fc.integer({ min: 0, max: 0xffff }),
					contact: fc.constantFrom(true, false, null),
					energy: fc.option(fc.integer({ min: 0, max: 0xffff })),
					rr: fc.array(
						fc.integer({ min: 0, max: 0xffff }).map((units) => units / 1024),
						{ maxLength: 9 }
					)
				}),
				fc.boolean(),
				(value, wide) => {
					expect(readMeasurement(writeMeasurement(value, wide))).toEqual(value);
				}
			)
		);
		expect(inBytes(writeMeasurement({ bpm: 80, contact: true, energy: null, rr: [1] }))).toEqual([
			0x16, 80, 0, 4
		]);
		expect(() => writeMeasurement({ bpm: -1, contact: null, energy: null, rr: [] })).toThrow(RangeError);
		expect(() => writeMeasurement({ bpm: 80, contact: null, energy: 70_000, rr: [] })).toThrow(/energy/);
	});
});

describe('how hard a rate is', () => {
	it('is reckoned from the highest rate of the age', () => {
		// Tanaka, Monahan and Seals 2001, J Am Coll Cardiol 37:153: 208 − 0.7 × age; at 40 years 180, at 60 166.
		expect([20, 40, 60].map(highestRate)).toEqual([194, 180, 166]);
	});
	it('is reckoned from the reserve by the method of Karvonen', () => {
		// Worked by hand: 40 years, 60 at rest: reserve 120; 60 % is 132 bpm, and 150 bpm is 75 %.
		expect(rateAt(0.6, 40, 60)).toBeCloseTo(132, 10);
		expect(shareOfReserve(150, 40, 60)).toBeCloseTo(0.75, 10);
	});
	it('has its bands at the published ends, the lower end within', () => {
		const who = { age: 40, resting: 60 };
		// 30, 40, 60 and 90 % of 120 above 60.
		const ends = [95, 96, 107, 108, 131, 132, 167, 168];
		expect(ends.map((bpm) => BANDS.indexOf(bandOf(bpm, who)))).toEqual([0, 1, 1, 2, 2, 3, 3, 4]);
		expect(BANDS.map((band) => Math.round(bandFrom(band, who)))).toEqual([0, 96, 108, 132, 168]);
	});
	it('goes by the highest rate where nothing is known of rest', () => {
		const who = { age: 40, resting: null };
		// 57, 64, 77 and 96 % of 180: 102.6, 115.2, 138.6, 172.8.
		expect([102, 103, 115, 116, 138, 139, 172, 173].map((bpm) => BANDS.indexOf(bandOf(bpm, who)))).toEqual([
			0, 1, 1, 2, 2, 3, 3, 4
		]);
		expect(BANDS.map((band) => Math.round(10 * bandFrom(band, who)))).toEqual([0, 1026, 1152, 1386, 1728]);
	});
});

describe('a session for the heart', () => {
	const who = { age: 40, resting: 60 };
	const every = (second: number, n: number, bpm: number, from = 0) =>
		Array.from({ length: n }, (_, i) => ({ at: (from + i * second) * 1000, bpm }));
	it('adds up the time in each band, and the average by time', () => {
		const beats = [...every(1, 60, 100), ...every(1, 60, 140, 60)];
		const found = summaryOf(beats, who);
		expect(found).toMatchObject({ seconds: 120, average: 120, highest: 140 });
		expect(found?.bands).toEqual({
			'very light': 0,
			light: 60,
			moderate: 0,
			vigorous: 60,
			'near the limit': 0
		});
		expect(summaryOf([...beats].reverse(), who)).toEqual(found);
		expect(summaryOf([], who)).toBeNull();
	});
	it('reckons nothing where contact was lost: a value stands five seconds at most', () => {
		expect(summaryOf([...every(1, 10, 140), ...every(1, 10, 140, 100)], who)?.seconds).toBe(9 + 5 + 10);
	});
	it('says that it is above or below only after half a minute, and with enough values', () => {
		const asked = { low: 110, high: 130 };
		const at = (beats: { at: number; bpm: number }[], now: number, since = 0) =>
			beside(beats, asked, since, now * 1000);
		expect(at(every(1, 60, 140), 29)).toBeNull();
		expect(at(every(1, 60, 140), 30)).toBe('above');
		expect(at(every(1, 60, 140), 59, 40_000)).toBeNull();
		expect(at(every(1, 60, 100), 59)).toBe('below');
		expect(at(every(1, 60, 130), 59)).toBeNull();
		expect(at(every(1, 60, 110), 59)).toBeNull();
		expect(at([...every(1, 58, 140), ...every(1, 2, 129, 58)], 59)).toBeNull();
		expect(at(every(3, 20, 140), 59)).toBeNull();
	});
});

describe('the strap that nobody wears', () => {
	const who = { age: 40, resting: 60 };
	it('follows what is done, faster up than down, and never above the highest rate', () => {
		const heart = new StandInHeart(who);
		const after = (seconds: number, effort: number) => {
			let last = 0;
			for (let i = 0; i < seconds; i++) last = readMeasurement(heart.next(effort)).bpm || last;
			return last;
		};
		const begin = after(1, 0.7);
		const up = after(30, 0.7);
		expect(up - begin).toBeGreaterThan(50);
		const down = after(30, 0.1);
		expect(up - down).toBeGreaterThan(10);
		expect(up - down).toBeLessThan(up - begin);
		expect(after(600, 5)).toBeLessThanOrEqual(highestRate(40));
	});
	it('sends 8 and 16 bits, intervals that fit the rate, and loses contact for a while', () => {
		const heart = new StandInHeart(who);
		const values = Array.from({ length: 240 }, () => heart.next(0.5));
		expect(new Set(values.map((value) => value.getUint8(0) & 1))).toEqual(new Set([0, 1]));
		const read = values.map(readMeasurement);
		const lost = read.filter(({ contact }) => contact === false);
		expect(lost).toHaveLength(12);
		expect(lost.every(({ bpm, rr }) => bpm === 0 && rr.length === 0)).toBe(true);
		for (const { bpm, rr } of read.filter(({ contact }) => contact))
			expect(Math.abs(60 / (rr[0] ?? 0) - bpm)).toBeLessThan(0.7);
	});
});
