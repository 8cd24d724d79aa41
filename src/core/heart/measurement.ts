/**
 * The value of the characteristic Heart Rate Measurement (0x2A37) of the Bluetooth SIG's Heart Rate Service 1.0: a byte of flags,
 * then fields in little-endian order, each present where its flag says so.
 */

/** Bits of the first byte. */
const WIDE = 1 << 0;
const CONTACT = 1 << 1;
const CONTACT_SUPPORTED = 1 << 2;
const ENERGY = 1 << 3;
const RR = 1 << 4;
/** Units of an RR interval in a second. */
const RR_UNITS = 1024;

export interface HeartMeasurement {
	/** Beats a minute. */
	bpm: number;
	/** Whether the strap touches the skin; null: it can not tell. */
	contact: boolean | null;
	/** Energy expended since it was last reset, kilojoules; null: not told. */
	energy: number | null;
	/** Times between beats, seconds, the oldest first. */
	rr: number[];
}

/**
 * Reads a value as a strap sends it.
 *
 * @throws RangeError where it is shorter than its flags say
 */
export function readMeasurement(value: DataView): HeartMeasurement {
	let at = 0;
	const take = (bytes: 1 | 2): number => {
		if (at + bytes > value.byteLength)
			throw new RangeError(
				`heart rate: ${value.byteLength} bytes, where the flags ask for at least ${at + bytes}`
			);
		const read = bytes === 1 ? value.getUint8(at) : value.getUint16(at, true);
		at += bytes;
		return read;
	};
	const flags = take(1);
	const bpm = take(flags & WIDE ? 2 : 1);
	const energy = flags & ENERGY ? take(2) : null;
	const rr: number[] = [];
	// What is left after the last whole interval is no interval.
	if (flags & RR) while (at + 2 <= value.byteLength) rr.push(take(2) / RR_UNITS);
	return { bpm, contact: flags & CONTACT_SUPPORTED ? (flags & CONTACT) !== 0 : null, energy, rr };
}

/**
 * The same the other way round, as a stand-in for a strap sends it: with 16 bits where the rate needs them, or on wish.
 *
 * @throws RangeError for what does not fit into the fields
 */
export function writeMeasurement({ bpm, contact, energy, rr }: HeartMeasurement, wide = false): DataView {
	const fits = (number: number, most: number, what: string) => {
		if (!Number.isInteger(number) || number < 0 || number > most)
			throw new RangeError(`${what}: a whole number up to ${most}, not ${number}`);
		return number;
	};
	const long = wide || bpm > 0xff;
	const flags =
		(long ? WIDE : 0) |
		(contact === null ? 0 : CONTACT_SUPPORTED | (contact ? CONTACT : 0)) |
		(energy === null ? 0 : ENERGY) |
		(rr.length > 0 ? RR : 0);
	const value = new DataView(new ArrayBuffer(1 + (long ? 2 : 1) + (energy === null ? 0 : 2) + 2 * rr.length));
	value.setUint8(0, flags);
	let at = 1;
	const put16 = (number: number, what: string) => {
		value.setUint16(at, fits(number, 0xffff, what), true);
		at += 2;
	};
	if (long) put16(bpm, 'bpm');
	else value.setUint8(at++, fits(bpm, 0xff, 'bpm'));
	if (energy !== null) put16(energy, 'energy');
	for (const interval of rr) put16(Math.round(interval * RR_UNITS), 'rr');
	return value;
}
