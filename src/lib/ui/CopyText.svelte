<script lang="ts">
	/** A text to copy, and a button that copies it and says so. */
	let { text, label, large = false }: { text: string; label: string; large?: boolean } = $props();
	const size = $derived(large ? 'min-h-11' : '');
	let copied = $state(false);

	async function copy() {
		await navigator.clipboard.writeText(text);
		copied = true;
		setTimeout(() => (copied = false), 2000);
	}
</script>

<div class="flex items-center gap-2">
	<input
		class={['input input-sm clock min-w-0 flex-1 text-[13px]', size]}
		readonly
		value={text}
		aria-label={label}
		onfocus={(event) => event.currentTarget.select()}
	/>
	<button type="button" class={['btn btn-sm btn-outline', size]} onclick={copy} aria-live="polite"
		>{copied ? 'Copied' : label}</button
	>
</div>
