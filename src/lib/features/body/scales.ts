/** Where a weight comes from: a scale of the Bluetooth SIG's Weight Scale Service, or a stand-in that sends what one would. */
import { readScale, writeScale, type MeasureKind } from '$core/measures';

interface Characteristic extends EventTarget {
	value?: DataView;
	startNotifications(): Promise<unknown>;
}
interface Device {
	gatt?: {
		connect(): Promise<{
			getPrimaryService(name: string): Promise<{ getCharacteristic(name: string): Promise<Characteristic> }>;
		}>;
		disconnect(): void;
	};
}

/** Milliseconds for which somebody may look for their scale and step on it. */
const PATIENCE = 60_000;

/** A weight in kg from a scale nearby; null: it could not weigh. @throws where none was chosen, or none answered in a minute */
export async function weighBluetooth(): Promise<number | null> {
	const { bluetooth } = navigator as unknown as {
		bluetooth: { requestDevice(of: object): Promise<Device> };
	};
	const device = await bluetooth.requestDevice({ filters: [{ services: ['weight_scale'] }] });
	const server = await device.gatt?.connect();
	const service = await server?.getPrimaryService('weight_scale');
	const weight = await service?.getCharacteristic('weight_measurement');
	if (!weight) throw new Error('the device has no weight');
	try {
		return await new Promise<number | null>((weighed, failed) => {
			const late = setTimeout(() => failed(new Error('nobody stepped on it')), PATIENCE);
			weight.addEventListener('characteristicvaluechanged', () => {
				if (!weight.value) return;
				clearTimeout(late);
				weighed(readScale(weight.value)?.kg ?? null);
			});
			void weight.startNotifications().catch(failed);
		});
	} finally {
		device.gatt?.disconnect();
	}
}

/** The same from nobody's scale: about what was last weighed, sent and read as a scale's value is. */
export function standInScale(
	measures: readonly { kind: MeasureKind; value: number }[]
): Promise<number | null> {
	const last = measures.findLast(({ kind }) => kind === 'weight')?.value ?? 74;
	const swing = ((measures.length * 7) % 9) / 10 - 0.4;
	return Promise.resolve(readScale(writeScale(last + swing))?.kg ?? null);
}
