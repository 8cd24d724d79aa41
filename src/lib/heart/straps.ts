/** Where heart rates come from: a strap over Bluetooth, or one that ships with the application and nobody wears. */
import { readMeasurement, StandInHeart, type HeartMeasurement, type HeartOf } from '$core/heart';

export interface Strap {
	readonly name: string;
	/**
	 * Begins to send, about once a second. @param lost is called when it is gone and will not come back by itself
	 * @throws DOMException where it was not chosen or can not be reached
	 */
	start(value: (measurement: HeartMeasurement) => void, lost: () => void): Promise<void>;
	stop(): void;
}

/** The part of Web Bluetooth that is used; browsers' own types have none of it. */
interface BluetoothCharacteristic extends EventTarget {
	readonly value?: DataView;
	startNotifications(): Promise<unknown>;
}
interface BluetoothDevice extends EventTarget {
	readonly name?: string;
	readonly gatt?: {
		connect(): Promise<{
			getPrimaryService(
				name: 'heart_rate'
			): Promise<{ getCharacteristic(name: 'heart_rate_measurement'): Promise<BluetoothCharacteristic> }>;
		}>;
		disconnect(): void;
	};
}
interface Bluetooth {
	requestDevice(options: { filters: { services: ['heart_rate'] }[] }): Promise<BluetoothDevice>;
}

const bluetooth = (): Bluetooth | null =>
	typeof navigator !== 'undefined' && 'bluetooth' in navigator ? (navigator.bluetooth as Bluetooth) : null;

/** Whether this browser can ask for a strap. */
export const hasBluetooth = (): boolean => bluetooth() !== null;

/** Reads a value that may be broken: a strap that sends one sends the next as well. */
function orNothing(value: DataView): HeartMeasurement | null {
	try {
		return readMeasurement(value);
	} catch (failure) {
		if (failure instanceof RangeError) return null;
		throw failure;
	}
}

/** Asks for a strap and reads the characteristic that all of them have. */
export async function bluetoothStrap(): Promise<Strap> {
	const device = await bluetooth()?.requestDevice({ filters: [{ services: ['heart_rate'] }] });
	const { gatt } = device ?? {};
	if (!device || !gatt) throw new DOMException('No strap was chosen.', 'NotFoundError');
	let stopped = false;
	return {
		name: device.name ?? 'Heart-rate strap',
		async start(value, lost) {
			device.addEventListener('gattserverdisconnected', () => {
				if (!stopped) lost();
			});
			const service = await (await gatt.connect()).getPrimaryService('heart_rate');
			const characteristic = await service.getCharacteristic('heart_rate_measurement');
			characteristic.addEventListener('characteristicvaluechanged', () => {
				const read = characteristic.value && orNothing(characteristic.value);
				if (read) value(read);
			});
			await characteristic.startNotifications();
		},
		stop() {
			stopped = true;
			gatt.disconnect();
		}
	};
}

/** A strap that nobody wears, for trying things out. @param effort of now, 0…1 */
export function standInStrap(who: HeartOf, effort: () => number): Strap {
	const heart = new StandInHeart(who);
	let timer: ReturnType<typeof setInterval> | null = null;
	return {
		name: 'Simulated strap',
		start(value) {
			timer = setInterval(() => {
				const read = orNothing(heart.next(effort()));
				if (read) value(read);
			}, 1000);
			return Promise.resolve();
		},
		stop() {
			if (timer) clearInterval(timer);
			timer = null;
		}
	};
}
