<script lang="ts">
	import { enhance } from '$app/forms';
	import { REACH_WAYS } from '$contracts/reach';
	import type { ReachWay } from '$core/triage';
	import { WAY_TEXT } from './reason-words';

	/** What a coach did about somebody, or until when it is put off. */
	interface Props {
		person: string;
		/** Who is opened afterwards. */
		next: string | null;
		first: ReachWay;
		/** The days between which something is put off. */
		tomorrow: string;
		latest: string;
		/** What was refused, and why. */
		refused: { message: string; note?: unknown; until?: unknown } | null;
	}
	let { person, next, first, tomorrow, latest, refused }: Props = $props();

	// svelte-ignore state_referenced_locally
	let way = $state(first);
	// svelte-ignore state_referenced_locally
	let note = $state(typeof refused?.note === 'string' ? refused.note : '');
	// svelte-ignore state_referenced_locally
	let until = $state(typeof refused?.until === 'string' ? refused.until : tomorrow);
	const DONE = REACH_WAYS.filter((one) => one !== 'later');
</script>

{#if refused}<p class="remark remark-safety mb-2 text-sm" role="alert">{refused.message}</p>{/if}
<form method="post" action="?/note" use:enhance class="flex flex-col gap-2">
	<input type="hidden" name="person" value={person} />
	<input type="hidden" name="next" value={next ?? ''} />
	<fieldset class="flex flex-wrap gap-1.5">
		<legend class="mb-1 text-sm font-semibold">What did you do?</legend>
		{#each DONE as one (one)}
			<label
				class={[
					'flex cursor-pointer items-center rounded border px-2.5 py-1 text-sm font-semibold has-focus-visible:outline-2',
					way === one ? 'bg-primary text-primary-content border-primary' : 'bg-base-100 border-base-300'
				]}
			>
				<input type="radio" name="way" value={one} bind:group={way} class="sr-only" />{WAY_TEXT[one]}
			</label>
		{/each}
	</fieldset>
	<label class="flex flex-col gap-1 text-sm">
		<span class="font-semibold">Note for yourself</span>
		<textarea name="note" rows="2" maxlength="1000" class="textarea w-full" bind:value={note}></textarea>
	</label>
	<button class="btn btn-primary self-start">{next ? 'Save, and on to the next' : 'Save'}</button>
</form>
<form method="post" action="?/note" use:enhance class="mt-3 flex flex-wrap items-end gap-2">
	<input type="hidden" name="person" value={person} />
	<input type="hidden" name="next" value={next ?? ''} />
	<input type="hidden" name="way" value="later" />
	<label class="flex flex-col gap-1 text-sm">
		<span class="font-semibold">Not now: come back to it on</span>
		<input type="date" name="until" class="input w-44" min={tomorrow} max={latest} bind:value={until} />
	</label>
	<button class="btn btn-outline">Put off</button>
</form>
