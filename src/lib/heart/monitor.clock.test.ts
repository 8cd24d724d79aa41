import { describe, expect, it, vi } from 'vitest';
import type { HeartMeasurement } from '$core/heart';
import { heartFaults, HeartMonitor, keepHeart, readHeart } from './monitor.svelte';
import { bluetoothStrap, hasBluetooth, standInStrap, type Strap } from './straps';

const WHO = { age: 40, resting: 60 };
const value = (bpm: number, contact: boolean | null = true): HeartMeasurement => ({
	bpm,
	contact,
	energy: null,
	rr: []
});

/** A strap of which the test says what it sends. */
function strap() {
	let on: (measurement: HeartMeasurement) => void = () => {};
	let lost = () => {};
	const stop = vi.fn();
	const made: Strap = {
		name: 'A strap',
		start: (value, gone) => ((on = value), (lost = gone), Promise.resolve()),
		stop
	};
	return { made, stop, send: (one: HeartMeasurement) => on(one), lose: () => lost() };
}

describe('the heart rate of a session', () => {
	it('is kept value by value, and shown as long as it is fresh', async () => {
		let now = 1_000_000;
		const { made, send, stop } = strap();
		const monitor = new HeartMonitor(WHO, [{ at: 1, bpm: 90 }], () => now);
		await monitor.connect(made);
		send(value(140));
		expect(monitor.at(now)).toEqual({ bpm: 140, band: 'vigorous' });
		now += 4001;
		expect(monitor.at(now)).toBeNull();
		send(value(100));
		expect(monitor.beats.map(({ bpm }) => bpm)).toEqual([90, 140, 100]);
		expect(monitor.summary?.highest).toBe(140);
		monitor.stop();
		expect(stop).toHaveBeenCalled();
		expect(monitor.at(now)).toBeNull();
	});
	it('is none without contact, and comes back by itself; a strap that is gone does not', async () => {
		const { made, send, lose } = strap();
		const monitor = new HeartMonitor(WHO, [], () => 5);
		await monitor.connect(made);
		send(value(0, false));
		expect([monitor.state, monitor.beats.length]).toEqual(['no contact', 0]);
		send(value(0, null));
		expect(monitor.state).toBe('no contact');
		send(value(120, null));
		expect([monitor.state, monitor.beats.length]).toEqual(['on', 1]);
		lose();
		expect([monitor.state, monitor.at(5)]).toEqual(['gone', null]);
	});
});

describe('what bands are reckoned from', () => {
	const store = (text: string | null = null) => {
		let kept = text;
		return { getItem: () => kept, setItem: (_: string, value: string) => void (kept = value) };
	};
	it('is kept on the device, and left aside where it makes no sense', () => {
		const device = store();
		expect(readHeart(device)).toBeNull();
		keepHeart(device, { ...WHO, strap: 'bluetooth' });
		expect(readHeart(device)).toEqual({ ...WHO, strap: 'bluetooth' });
		for (const broken of ['{', '[]', '{"age":12}', '{"age":40,"resting":300}', '"x"'])
			expect(readHeart(store(broken)), broken).toBeNull();
		expect(readHeart(store('{"age":40}'))).toEqual({ age: 40, resting: null, strap: 'stand-in' });
	});
	it.each([
		[17, null, 1],
		[18, null, 0],
		[100, 30, 0],
		[101, 110, 1],
		[40, 29, 1],
		[40, 111, 1],
		[40.5, 60.5, 2],
		[NaN, null, 1]
	])('is refused in words: %s years, %s at rest', (age, resting, faults) => {
		expect(heartFaults(age, resting)).toHaveLength(faults);
	});
});

describe('straps', () => {
	it('of Bluetooth are read by the characteristic that all have, and are gone when they say so', async () => {
		const characteristic = Object.assign(new EventTarget(), {
			value: undefined as DataView | undefined,
			startNotifications: () => Promise.resolve()
		});
		const disconnect = vi.fn();
		const device = Object.assign(new EventTarget(), {
			name: 'Chest strap',
			gatt: {
				connect: () =>
					Promise.resolve({
						getPrimaryService: (name: string) =>
							name === 'heart_rate'
								? Promise.resolve({ getCharacteristic: () => Promise.resolve(characteristic) })
								: Promise.reject(new Error(name))
					}),
				disconnect
			}
		});
		expect(hasBluetooth()).toBe(false);
		vi.stubGlobal('navigator', { bluetooth: { requestDevice: () => Promise.resolve(device) } });
		try {
			expect(hasBluetooth()).toBe(true);
			const found = await bluetoothStrap();
			const heard: number[] = [];
			const lost = vi.fn();
			await found.start(({ bpm }) => heard.push(bpm), lost);
			const notify = (...bytes: number[]) => {
				characteristic.value = new DataView(new Uint8Array(bytes).buffer);
				characteristic.dispatchEvent(new Event('characteristicvaluechanged'));
			};
			notify(0x06, 140);
			// A broken value is passed over.
			notify(0x01);
			notify(0x01, 0x2c, 0x01);
			expect([found.name, heard]).toEqual(['Chest strap', [140, 300]]);
			device.dispatchEvent(new Event('gattserverdisconnected'));
			expect(lost).toHaveBeenCalledTimes(1);
			found.stop();
			device.dispatchEvent(new Event('gattserverdisconnected'));
			expect(lost).toHaveBeenCalledTimes(1);
			expect(disconnect).toHaveBeenCalled();
		} finally {
			vi.unstubAllGlobals();
		}
		await expect(bluetoothStrap()).rejects.toThrow(/No strap/);
	});
	it('that nobody wears send a value a second until they are stopped', async () => {
		vi.useFakeTimers();
		try {
			const found = standInStrap(WHO, () => 0.7);
			const heard: number[] = [];
			await found.start(
				({ bpm }) => heard.push(bpm),
				() => {}
			);
			vi.advanceTimersByTime(30_000);
			found.stop();
			vi.advanceTimersByTime(30_000);
			expect(heard).toHaveLength(30);
			expect(heard.at(-1)! - heard[0]!).toBeGreaterThan(40);
		} finally {
			vi.useRealTimers();
		}
	});
});
