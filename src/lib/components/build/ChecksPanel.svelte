<script lang="ts">
	import type { Finding } from '$core/review';
	import type { Fault, Session } from '$core/session';

	/** What keeps the session from being saved, then what a careful coach would see in it, each with its remedy. */
	interface Props {
		session: Session;
		faults: Fault[];
		findings: Finding[];
		ontake: (session: Session) => void;
		onfit: () => void;
		onpoint: (block: number | null) => void;
	}
	let { session, faults, findings, ontake, onfit, onpoint }: Props = $props();

	function place(finding: Finding): string {
		if (!finding.place) return '';
		const part =
			finding.place.part === undefined
				? undefined
				: session.blocks[finding.place.block]?.parts[finding.place.part];
		return `Block ${finding.place.block + 1}${part ? `, ${part.exercise}` : ''}`;
	}
	function faultPlace(path: string): string {
		const at = /^blocks\[(\d+)\]/.exec(path);
		return at
			? `Block ${Number(at[1]) + 1}`
			: path.replace(/\[(\d+)\]/g, (_, n: string) => ` ${Number(n) + 1}`);
	}
	const watch = $derived(findings.filter((finding) => finding.weight !== 'hint'));
	const hints = $derived(findings.filter((finding) => finding.weight === 'hint'));
</script>

{#snippet found(finding: Finding)}
	<li
		class={[
			'remark',
			finding.weight === 'safety' ? 'remark-safety' : finding.weight === 'watch' ? 'remark-attention' : ''
		]}
		onpointerenter={() => onpoint(finding.place?.block ?? null)}
		onpointerleave={() => onpoint(null)}
	>
		<b>{finding.title}</b>
		<p class="quiet text-[13px]">
			{[finding.figure, place(finding) && `${place(finding)}.`].filter(Boolean).join(' ')}
		</p>
		<p class="flex flex-wrap items-baseline gap-x-3">
			{#if finding.remedy && 'apply' in finding.remedy}
				{@const remedy = finding.remedy}
				<button type="button" class="link-quiet" onclick={() => ontake(remedy.apply())}>{remedy.label}</button
				>
			{:else if finding.remedy}
				<button type="button" class="link-quiet" onclick={onfit}>{finding.remedy.label}</button>
			{/if}
			<span class="quiet text-[12px]">{finding.source}</span>
		</p>
	</li>
{/snippet}

<section class="panel p-4" aria-labelledby="checks">
	<h2 id="checks" class="mb-2 flex items-baseline justify-between">
		Checks {#if findings.length > 0}<span class="quiet text-sm font-normal"
				>{watch.length} to look at{hints.length > 0 ? `, ${hints.length} to consider` : ''}</span
			>{/if}
	</h2>
	<ul class="flex flex-col gap-2.5 text-sm">
		{#each faults as fault (fault.path + fault.message)}
			<li class="remark remark-attention"><b>{faultPlace(fault.path)}</b>: {fault.message}</li>
		{/each}
		{#each watch as finding, i (`${finding.rule}.${i}`)}{@render found(finding)}{/each}
		{#if session.blocks.length === 0}<li class="quiet">Checks show as soon as there is a block.</li>
		{:else if faults.length + findings.length === 0}<li class="quiet">
				Nothing to remark: time, order, muscles and rests are as they should be.
			</li>{/if}
	</ul>
	{#if hints.length > 0}
		<details class="mt-3" open={watch.length === 0}>
			<summary class="cursor-pointer text-sm font-semibold">To consider, {hints.length}</summary>
			<ul class="mt-2 flex flex-col gap-2.5 text-sm">
				{#each hints as finding, i (`${finding.rule}.${i}`)}{@render found(finding)}{/each}
			</ul>
		</details>
	{/if}
</section>
