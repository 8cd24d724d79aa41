<script lang="ts">
	import type { PlanFinding } from '$core/plan';
	import FindingsPanel from '$lib/ui/FindingsPanel.svelte';
	import FindingRemark from './FindingRemark.svelte';
	import type { PlanEditor } from './plan-editor.svelte';

	/** What a careful coach would see in the weeks, each with its remedy; pointing at one shows its days. */
	let { editor }: { editor: PlanEditor } = $props();
	const nothing = $derived.by(() => {
		if (!editor.resolved.days.some((day) => day.prescribed)) return 'Checks show once a day has a session.';
		if (editor.findings.length > 0) return null;
		return 'Nothing to remark: load, muscles, tests and rest days are as they should be.';
	});
</script>

<FindingsPanel
	findings={editor.findings}
	{nothing}
	onpoint={(finding: PlanFinding | null) => (editor.pointed = finding?.place.days ?? [])}
>
	{#snippet found(finding: PlanFinding)}
		<FindingRemark {editor} {finding} />
	{/snippet}
</FindingsPanel>
