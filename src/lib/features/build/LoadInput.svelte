<script lang="ts">
	import { kgTyped, weightIn } from '$core/kit';
	import { workshop } from './workshop';

	/** A load, typed and read in the coach's own units and kept in kilograms. */
	interface Props {
		label: string;
		kg: number | null;
		width?: string;
		onchange: (kg: number | null) => void;
	}
	let { label, kg, width = 'w-20', onchange }: Props = $props();
	const shop = workshop();
	const { units } = $derived(shop());
</script>

<label
	><span class="quiet block text-[13px]">{label}, {units}</span><input
		type="number"
		step="0.5"
		class={['input input-sm', width]}
		value={kg === null ? null : weightIn(kg, units)}
		oninput={({ currentTarget: { value, valueAsNumber } }) =>
			onchange(value === '' ? null : kgTyped(valueAsNumber, units, kg))}
	/></label
>
