<script lang="ts">
	/** A question that is answered by a number: what, a small field, and the unit. */
	interface Props {
		name: string;
		label: string;
		unit: string;
		placeholder: string;
		value: string;
	}
	let { name, label, unit, placeholder, value = $bindable() }: Props = $props();
</script>

<label class="flex flex-wrap items-center justify-between gap-3">
	<span class="font-head text-lg font-bold">{label}</span>
	<span class="flex items-center gap-2"
		><input
			{name}
			inputmode="decimal"
			class="input min-h-12 w-20 text-center text-lg"
			{placeholder}
			bind:value
		/>
		{unit}</span
	>
</label>
