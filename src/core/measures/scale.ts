/**
 * The value of the characteristic Weight Measurement (0x2A9D) of the Bluetooth SIG's Weight Scale Service 1.0: a byte of
 * flags, the weight, then fields in little-endian order, each present where its flag says so. From memory.
 */
import { KG_PER_LB } from '../kit/units';

const POUNDS = 1 << 0;
const TIME = 1 << 1;
const USER = 1 << 2;
const BMI = 1 << 3;
const KG_STEP = 0.005;
const LB_STEP = 0.01;
/** What a scale sends when it could not weigh. */
const NOT_WEIGHED = 0xffff;

export interface ScaleReading {
	kg: number;
	/** By the clock of the scale, `YYYY-MM-DDTHH:MM:SS`; null: it has none. */
	at: string | null;
}

const two = (n: number): string => String(n).padStart(2, '0');

/**
 * Reads a value as a scale sends it. @returns null where it could not weigh
 * @throws RangeError where it is shorter than its flags say
 */
export function readScale(value: DataView): ScaleReading | null {
	const need = (bytes: number) => {
		if (bytes > value.byteLength)
			throw new RangeError(`scale: ${value.byteLength} bytes, where the flags ask for at least ${bytes}`);
	};
	need(3);
	const flags = value.getUint8(0);
	need(3 + (flags & TIME ? 7 : 0) + (flags & USER ? 1 : 0) + (flags & BMI ? 4 : 0));
	const raw = value.getUint16(1, true);
	if (raw === NOT_WEIGHED) return null;
	const kg = flags & POUNDS ? raw * LB_STEP * KG_PER_LB : raw * KG_STEP;
	if (!(flags & TIME)) return { kg, at: null };
	const [month, day, hour, minute, second] = [5, 6, 7, 8, 9].map((at) => value.getUint8(at)) as [
		number,
		number,
		number,
		number,
		number
	];
	const year = value.getUint16(3, true);
	// A year or month of 0 is not known.
	if (year === 0 || month === 0 || day === 0) return { kg, at: null };
	return { kg, at: `${year}-${two(month)}-${two(day)}T${two(hour)}:${two(minute)}:${two(second)}` };
}

/** The same the other way round, in kilograms, as a stand-in for a scale sends it. @throws RangeError for what it can not weigh */
export function writeScale(kg: number): DataView {
	const raw = Math.round(kg / KG_STEP);
	if (!(raw >= 0 && raw < NOT_WEIGHED)) throw new RangeError(`kg: from 0 to 327, not ${kg}`);
	const value = new DataView(new ArrayBuffer(3));
	value.setUint16(1, raw, true);
	return value;
}
