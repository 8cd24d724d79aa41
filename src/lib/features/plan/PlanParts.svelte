<script lang="ts">
	import Parts from '$lib/ui/Parts.svelte';

	/** What a plan is looked at as; the last are pages of their own. */
	let { base, part }: { base: string; part: string } = $props();
	const PARTS = [
		['grid', 'Weeks and days', ''],
		['progression', 'Progression and tests', '?show=progression'],
		['charts', 'Charts', '?show=charts'],
		['try', 'Simulate', '?show=try'],
		['shelf', 'Shelf', '/shelf'],
		['export', 'Calendar, print and export', '/export']
	] as const;
</script>

<Parts
	name="Parts of the plan"
	here={part}
	parts={PARTS.map(([key, text, end]) => ({ key, text, href: `${base}/plan${end}` }))}
/>
