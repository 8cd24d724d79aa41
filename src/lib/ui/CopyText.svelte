<script lang="ts">
	/** A text to copy, and a button that copies it and says so. */
	interface Props {
		text: string;
		label: string;
		large?: boolean;
		/** Whether the text stands beside the button; false where it is on the page already. */
		field?: boolean;
	}
	let { text, label, large = false, field = true }: Props = $props();
	const size = $derived(large ? 'min-h-11' : '');
	let copied = $state(false);

	async function copy() {
		await navigator.clipboard.writeText(text);
		copied = true;
		setTimeout(() => (copied = false), 2000);
	}
</script>

<div class="flex items-center gap-2">
	{#if field}<input
			class={['input input-sm clock min-w-0 flex-1 text-[13px]', size]}
			readonly
			value={text}
			aria-label={label}
			onfocus={(event) => event.currentTarget.select()}
		/>{/if}
	<button type="button" class={['btn btn-sm btn-outline', size]} onclick={copy} aria-live="polite"
		>{copied ? 'Copied' : label}</button
	>
</div>
