<script lang="ts">
	/** What the group did of each day, under its plates: a bar a day to scale, and the mean of each week in words. */
	interface Props {
		/** Sum of credits and people for whom the day counts, day 1 first. */
		totals: { credit: number; people: number }[];
		/** Drawing units from one day to the next, and after each week. */
		step: number;
		weekGap: number;
		width: number;
	}
	let { totals, step, weekGap, width }: Props = $props();

	const TOP = 3;
	const BAR = 16;
	const place = (i: number) => i * step + Math.floor(i / 7) * weekGap;
	const weeks = $derived(
		Array.from({ length: Math.ceil(totals.length / 7) }, (_, w) => {
			const days = totals.slice(w * 7, w * 7 + 7);
			const people = days.reduce((sum, day) => sum + day.people, 0);
			return { people, share: people > 0 ? days.reduce((sum, day) => sum + day.credit, 0) / people : 0 };
		})
	);
</script>

<svg
	{width}
	height={TOP + BAR + 16}
	viewBox="0 0 {width} {TOP + BAR + 16}"
	role="img"
	aria-label="Share of the group that has done each day"
>
	{#each totals as total, i (i)}
		{#if total.people > 0}
			{@const height = (BAR * total.credit) / total.people}
			<g>
				<title
					>Day {i + 1}: {total.credit.toFixed(1)} of {total.people}, {Math.round(
						(100 * total.credit) / total.people
					)} %</title
				>
				<rect x={place(i) + 1} y={TOP} width="10" height={BAR} fill="var(--color-base-300)" />
				<rect x={place(i) + 1} y={TOP + BAR - height} width="10" {height} fill="var(--quiet)" />
			</g>
		{/if}
	{/each}
	{#each weeks as week, w (w)}
		{#if week.people > 0}
			<text x={place(w * 7)} y={TOP + BAR + 13} font-size="12" fill="currentColor"
				>{Math.round(100 * week.share)} %</text
			>
		{/if}
	{/each}
</svg>
