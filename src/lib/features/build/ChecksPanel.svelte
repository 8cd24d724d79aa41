<script lang="ts">
	import type { SessionFinding } from '$core/analysis';
	import type { Fault, Session } from '$core/session';
	import FindingsPanel from '$lib/ui/FindingsPanel.svelte';
	import Remark from '$lib/ui/Remark.svelte';

	/** What keeps the session from being saved, then what a careful coach would see in it, each with its remedy. */
	interface Props {
		session: Session;
		faults: Fault[];
		findings: SessionFinding[];
		ontake: (session: Session) => void;
		onfit: () => void;
		onpoint: (block: number | null) => void;
	}
	let { session, faults, findings, ontake, onfit, onpoint }: Props = $props();

	function place(finding: SessionFinding): string {
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
	const nothing = $derived.by(() => {
		if (session.blocks.length === 0) return 'Checks show as soon as there is a block.';
		return faults.length + findings.length === 0
			? 'Nothing to remark: time, order, muscles and rests are as they should be.'
			: null;
	});
</script>

<FindingsPanel
	{findings}
	{nothing}
	onpoint={(finding: SessionFinding | null) => onpoint(finding?.place?.block ?? null)}
>
	{#snippet lead()}
		{#each faults as fault (fault.path + fault.message)}
			<li class="remark remark-attention"><b>{faultPlace(fault.path)}</b>: {fault.message}</li>
		{/each}
	{/snippet}
	{#snippet found(finding: SessionFinding)}
		<Remark {finding} place={place(finding) && `${place(finding)}.`}>
			{#snippet action()}
				{#if finding.remedy && 'apply' in finding.remedy}
					{@const remedy = finding.remedy}
					<button type="button" class="link-quiet" onclick={() => ontake(remedy.apply())}
						>{remedy.label}</button
					>
				{:else if finding.remedy}
					<button type="button" class="link-quiet" onclick={onfit}>{finding.remedy.label}</button>
				{/if}
			{/snippet}
		</Remark>
	{/snippet}
</FindingsPanel>
