<script lang="ts">
	import { fillTemplate, readTemplate, type FieldValues } from '$core/text/template';
	import { listed } from '$core/text/words';
	import { placeOf } from '$lib/format';

	/** What one of those who are meant will read, and then the next. */
	interface Props {
		people: readonly { id: string; name: string; zone: string; mailed: boolean; values: FieldValues }[];
		subject: string;
		text: string;
		later: boolean;
		/** Writes to these of them alone. */
		only: (ids: string[]) => void;
	}
	let { people, subject, text, later, only }: Props = $props();

	let at = $state(0);
	const one = $derived(people[Math.min(at, people.length - 1)]);
	const title = $derived(readTemplate(subject));
	const body = $derived(readTemplate(text));
	/** Who would read a gap. */
	const gaps = $derived(
		people.filter(
			({ values }) =>
				fillTemplate(title, values).missing.length > 0 || fillTemplate(body, values).missing.length > 0
		)
	);
	const whole = $derived(people.filter((person) => !gaps.includes(person)));
	const unmailed = $derived(people.filter(({ mailed }) => !mailed));
	const step = (by: number) => (at = (Math.min(at, people.length - 1) + by + people.length) % people.length);
</script>

<section class="panel p-4" aria-labelledby="preview">
	<div class="flex items-baseline justify-between gap-3">
		<h2 id="preview">Preview</h2>
		{#if people.length > 1}
			<span class="flex gap-1">
				<button class="btn btn-outline btn-xs" onclick={() => step(-1)}>Previous</button>
				<button class="btn btn-outline btn-xs" onclick={() => step(1)}>Next</button>
			</span>
		{/if}
	</div>
	{#if !one}
		<p class="quiet text-sm">That is nobody at the moment.</p>
	{:else}
		<p class="quiet text-sm">
			as {one.name} reads it, {later ? 'at that hour' : 'now'} in {placeOf(one.zone)}
		</p>
		<div class="border-base-300 mt-2 min-h-32 border-t pt-2">
			<p class="font-semibold break-words">{fillTemplate(title, one.values).text || 'No subject yet'}</p>
			<p class="mt-1 break-words whitespace-pre-line">{fillTemplate(body, one.values).text}</p>
		</div>
	{/if}
	{#if gaps.length > 0}
		<div class="remark remark-attention mt-3 text-sm">
			<p>
				A field is empty for {listed(
					gaps.map(({ name }) => name),
					3
				)}: leave it out, or write to others.
			</p>
			{#if whole.length > 0}
				<button type="button" class="link-quiet mt-1" onclick={() => only(whole.map(({ id }) => id))}
					>Write to the other {whole.length}</button
				>
			{/if}
		</div>
	{/if}
	{#if unmailed.length > 0}<p class="quiet mt-3 text-sm">
			No email to {listed(
				unmailed.map(({ name }) => name),
				3
			)}, who turned it off: they read it in the app.
		</p>{/if}
</section>
