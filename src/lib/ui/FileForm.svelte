<script lang="ts">
	import { enhance } from '$app/forms';

	/** A file, or its text, to be looked at before anything of it is taken in. */
	interface Props {
		action: string;
		label: string;
		accept: string;
		rows: number;
		placeholder?: string;
		text: string;
	}
	let { action, label, accept, rows, placeholder, text = $bindable() }: Props = $props();
</script>

<form
	method="post"
	{action}
	enctype="multipart/form-data"
	class="panel p-4"
	use:enhance={() =>
		async ({ update }) =>
			update({ reset: false })}
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
	<button class="btn btn-primary btn-sm mt-3">Look at it</button>
	<span class="quiet ml-3 text-sm">Nothing is written before you take it in.</span>
</form>
