<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Severity } from '$core/findings';

	/** Something that a check found: what, its figure, what can be done, and by whose word. */
	interface Props {
		finding: { severity: Severity; title: string; figure: string; source: string };
		/** Behind the figure. */
		place?: string;
		action?: Snippet;
	}
	let { finding, place = '', action }: Props = $props();
</script>

<div
	class={[
		'remark',
		finding.severity === 'safety' ? 'remark-safety' : finding.severity === 'watch' ? 'remark-attention' : ''
	]}
>
	<b>{finding.title}</b>
	<p class="quiet text-[13px]">{[finding.figure, place].filter(Boolean).join(' ')}</p>
	<p class="flex flex-wrap items-baseline gap-x-3">
		{@render action?.()}<span class="quiet text-[12px]">{finding.source}</span>
	</p>
</div>
