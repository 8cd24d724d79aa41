<script lang="ts">
	import type { PlanFinding } from '$core/plan';
	import Remark from '$lib/ui/Remark.svelte';
	import type { PlanEditor } from './plan-editor.svelte';

	/** What a check found in a plan, with its remedy to click. */
	let { editor, finding }: { editor: PlanEditor; finding: PlanFinding } = $props();
</script>

<Remark {finding}>
	{#snippet action()}
		{#if finding.remedy}
			{@const remedy = finding.remedy}
			<button
				type="button"
				class="link-quiet"
				onclick={() => {
					editor.pointed = [];
					editor.change(remedy.apply(editor.plan));
				}}>{remedy.label}</button
			>
		{/if}
	{/snippet}
</Remark>
