<script lang="ts">
	/** What a plan is looked at as; the last is a page of its own. */
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

<nav class="mb-3 flex flex-wrap gap-x-4 text-sm" aria-label="Parts of the plan">
	{#each PARTS as [key, text, end] (key)}
		<a
			href="{base}/plan{end}"
			data-sveltekit-noscroll
			aria-current={part === key ? 'page' : undefined}
			class={[
				'border-b-2 pb-0.5 font-semibold',
				part === key ? 'border-primary' : 'hover:text-primary border-transparent'
			]}>{text}</a
		>
	{/each}
</nav>
