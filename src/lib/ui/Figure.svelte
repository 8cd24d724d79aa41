<script lang="ts">
	import { onMount } from 'svelte';
	import { drawFigure, type Figure } from '$core/figures';

	/** A jointed figure at its end, at a moment, or slowly going from start to end and back. */
	interface Props {
		figure: Figure;
		/** 0 start, 1 end. */
		at?: number;
		moving?: boolean;
		label?: string;
		class?: string;
	}
	let { figure, at = 1, moving = false, label = '', class: className = '' }: Props = $props();

	/** Milliseconds there and back. */
	const ROUND = 3600;
	let moment = $state<number | null>(null);
	const drawing = $derived(drawFigure(figure, moment ?? at));
	const box = $derived.by(() => {
		const [left, bottom, right, top] = drawing.bounds;
		return `${left} ${-top} ${right - left} ${top - bottom}`;
	});

	onMount(() => {
		const still = matchMedia('(prefers-reduced-motion: reduce)');
		let frame = 0;
		const step = (now: number) => {
			if (moving && !still.matches) moment = 0.5 - 0.5 * Math.cos((2 * Math.PI * now) / ROUND);
			else if (moment !== null) moment = null;
			frame = requestAnimationFrame(step);
		};
		if (moving) frame = requestAnimationFrame(step);
		return () => cancelAnimationFrame(frame);
	});
</script>

<svg
	viewBox={box}
	class={['figure', className]}
	role={label ? 'img' : undefined}
	aria-label={label || undefined}
	aria-hidden={label ? undefined : 'true'}
	preserveAspectRatio="xMidYMax meet"
>
	<line x1="-300" x2="300" y1="2.4" y2="2.4" class="ground" />
	{#each drawing.shapes as shape, i (i)}
		{#if shape.kind === 'line'}
			<polyline
				class={shape.tone}
				points={shape.points.map(([x, y]) => `${x.toFixed(1)},${(-y).toFixed(1)}`).join(' ')}
				stroke-width={shape.width}
			/>
		{:else if shape.kind === 'circle'}
			<circle class={shape.tone} cx={shape.at[0]} cy={-shape.at[1]} r={shape.r} />
		{:else}
			<rect
				class={shape.tone}
				x={shape.from[0]}
				y={-shape.to[1]}
				width={shape.to[0] - shape.from[0]}
				height={shape.to[1] - shape.from[1]}
				rx="1"
			/>
		{/if}
	{/each}
</svg>

<style>
	.figure {
		display: block;
		overflow: hidden;
	}
	polyline {
		fill: none;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.ground {
		stroke: var(--color-base-300);
		stroke-width: 1;
	}
	polyline.near {
		stroke: var(--color-base-content);
	}
	polyline.far {
		stroke: color-mix(in srgb, var(--color-base-content) 48%, var(--color-base-100));
	}
	polyline.halo {
		stroke: var(--color-base-100);
	}
	polyline.prop,
	polyline.thin {
		stroke: var(--color-warning);
	}
	circle.near {
		fill: var(--color-base-content);
	}
	circle.prop,
	rect.solid {
		fill: var(--color-warning);
	}
	rect.prop {
		fill: color-mix(in srgb, var(--color-warning) 22%, var(--color-base-100));
		stroke: var(--color-warning);
		stroke-width: 1.6;
	}
</style>
