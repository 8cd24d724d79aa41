<script lang="ts">
	/** A number typed with a thumb, a weight say; null while there is none. */
	interface Props {
		value: number | null;
		label: string;
		placeholder?: string;
	}
	let { value = $bindable(), label, placeholder = '' }: Props = $props();
</script>

<input
	type="number"
	inputmode="decimal"
	step="any"
	min="0"
	class="input min-h-12 w-24"
	aria-label={label}
	{placeholder}
	bind:value
/>
