<script lang="ts">
	import { enhance } from '$app/forms';
	import { Submission } from './submission.svelte';
	import Working from './Working.svelte';

	/** A file, or its text, previewed before anything of it is imported. */
	interface Props {
		action: string;
		label: string;
		accept: string;
		rows: number;
		placeholder?: string;
		text: string;
	}
	let { action, label, accept, rows, placeholder, text = $bindable() }: Props = $props();
	const reading = new Submission();
</script>

<form
	method="post"
	{action}
	enctype="multipart/form-data"
	class="panel p-4"
	use:enhance={reading.watch(({ update }) => update({ reset: false }))}
>
	<label class="block"
		><span class="label-text">{label}</span><input
			type="file"
			name="file"
			{accept}
			class="file-input file-input-sm mt-1 block"
		/></label
	>
	<label class="mt-3 block"
		><span class="label-text">or its text</span>
		<textarea
			name="text"
			{rows}
			wrap="off"
			spellcheck="false"
			class="textarea clock mt-1 w-full text-[13px]"
			{placeholder}
			bind:value={text}></textarea>
	</label>
	<div class="mt-3 flex items-center gap-3">
		{#if reading.cancel}<Working what="Reading the file …" cancel={reading.cancel} />
		{:else}
			<button class="btn btn-primary btn-sm">Preview</button>
			<span class="quiet text-sm">Nothing is saved until you import it.</span>
		{/if}
	</div>
</form>
