<script lang="ts">
	import type { DayResult } from '$core/day';
	import { markText, PLATE } from './marks';
	import PlateShape from './PlateShape.svelte';

	/** Days side by side, a little more room after each week. */
	let {
		days,
		name,
		firstDay = 1,
		step = 15,
		weekGap = 5,
		scale = 1
	}: {
		days: DayResult[];
		name: string;
		firstDay?: number;
		step?: number;
		weekGap?: number;
		scale?: number;
	} = $props();

	const place = (i: number) =>
		i * step + Math.floor((firstDay - 1 + i) / 7) * weekGap - Math.floor((firstDay - 1) / 7) * weekGap;
	const width = $derived(place(days.length - 1) + PLATE.width);
	/** Days that say nothing of the person, drawn as one shape: a roll of a thousand has tens of thousands of them. */
	const quiet = $derived(
		days
			.map(({ state }, i) =>
				state === 'ahead'
					? `M${place(i) + 4.8} 21.3h2.4v2.4h-2.4z`
					: state === 'rest'
						? `M${place(i) + 2} 22.5h8v1.5h-8z`
						: ''
			)
			.join('')
	);
</script>

<svg
	role="img"
	aria-label={name}
	width={width * scale}
	height={PLATE.height * scale}
	viewBox="0 0 {width} {PLATE.height}"
	class="block shrink-0"
>
	<path d={quiet} class="quiet-days" />
	{#each days as day, i (i)}
		{#if day.state !== 'ahead' && day.state !== 'rest'}
			<g transform="translate({place(i)} 0)">
				<title>Day {firstDay + i}: {markText(day.state, day.credit, day.pain)}</title>
				<PlateShape state={day.state} credit={day.credit} pain={day.pain} />
			</g>
		{/if}
	{/each}
</svg>

<style>
	.quiet-days {
		fill: color-mix(in srgb, var(--color-base-content) 40%, transparent);
	}
</style>
