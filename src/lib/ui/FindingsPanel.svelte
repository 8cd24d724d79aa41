<script lang="ts" generics="Found extends { rule: string; severity: Severity }">
	import type { Severity } from '$core/findings';
	import type { Snippet } from 'svelte';

	/** What checks found: what to look at first, what to consider folded away. */
	interface Props {
		findings: Found[];
		/** One of them, as the inside of a list item. */
		found: Snippet<[Found]>;
		/** Before the findings: what keeps things from being saved. */
		lead?: Snippet;
		/** What stands there when there is nothing to look at; null: nothing. */
		nothing: string | null;
		/** What the pointer is on; null: none. */
		onpoint: (finding: Found | null) => void;
	}
	let { findings, found, lead, nothing, onpoint }: Props = $props();
	const watch = $derived(findings.filter((finding) => finding.severity !== 'hint'));
	const hints = $derived(findings.filter((finding) => finding.severity === 'hint'));
</script>

{#snippet items(list: Found[])}
	{#each list as finding, i (`${finding.rule}.${i}`)}
		<li onpointerenter={() => onpoint(finding)} onpointerleave={() => onpoint(null)}>
			{@render found(finding)}
		</li>
	{/each}
{/snippet}

<section class="panel p-4" aria-labelledby="checks">
	<h2 id="checks" class="mb-2 flex items-baseline justify-between">
		Checks {#if findings.length > 0}<span class="quiet text-sm font-normal"
				>{watch.length} to look at{hints.length > 0 ? `, ${hints.length} to consider` : ''}</span
			>{/if}
	</h2>
	<ul class="flex flex-col gap-2.5 text-sm">
		{@render lead?.()}{@render items(watch)}
		{#if nothing}<li class="quiet">{nothing}</li>{/if}
	</ul>
	{#if hints.length > 0}
		<details class="mt-3" open={watch.length === 0}>
			<summary class="cursor-pointer text-sm font-semibold">To consider, {hints.length}</summary>
			<ul class="mt-2 flex flex-col gap-2.5 text-sm">{@render items(hints)}</ul>
		</details>
	{/if}
</section>
