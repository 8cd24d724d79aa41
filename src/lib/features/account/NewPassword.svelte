<script lang="ts">
	import Field from '$lib/ui/Field.svelte';

	/** The field of a new password; whose it is tells a program that keeps passwords where to put it. */
	let { email, fault }: { email: string; fault?: string } = $props();
	let shown = $state(false);
</script>

<input type="hidden" name="username" autocomplete="username" value={email} />
<Field
	label="New password"
	id="password"
	{fault}
	hint="12 to 128 characters. Four words that have nothing to do with each other are good."
>
	<input
		id="password"
		name="password"
		type={shown ? 'text' : 'password'}
		autocomplete="new-password"
		minlength="12"
		maxlength="128"
		required
		spellcheck="false"
		autocapitalize="none"
		class="input w-full"
	/>
</Field>
<label class="flex items-center gap-2 text-sm">
	<input type="checkbox" class="checkbox checkbox-sm" bind:checked={shown} /> Show password
</label>
