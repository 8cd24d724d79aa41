<script lang="ts">
	import { MediaQuery } from 'svelte/reactivity';
	import { figureMarkup, type Figure } from '$core/figures';

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
	const drawn = $derived(figureMarkup(figure, moment ?? at));

	let svg = $state<SVGSVGElement>();
	/** Whether any of it is on the screen. */
	let inSight = $state(false);
	$effect(() => {
		if (!moving || !svg) return;
		const watch = new IntersectionObserver((entries) => (inSight = entries.at(-1)?.isIntersecting ?? false));
		watch.observe(svg);
		return () => watch.disconnect();
	});
	/** Whether the reader wants nothing to move. */
	const still = new MediaQuery('prefers-reduced-motion: reduce');
	$effect(() => {
		if (!moving || !inSight || still.current) return;
		let frame = requestAnimationFrame(function step(now) {
			moment = 0.5 - 0.5 * Math.cos((2 * Math.PI * now) / ROUND);
			frame = requestAnimationFrame(step);
		});
		return () => {
			cancelAnimationFrame(frame);
			moment = null;
		};
	});
</script>

<svg
	bind:this={svg}
	viewBox={drawn.viewBox}
	class={['figure', className]}
	role={label ? 'img' : undefined}
	aria-label={label || undefined}
	aria-hidden={label ? undefined : 'true'}
	preserveAspectRatio="xMidYMax meet"
>
	<line x1="-300" x2="300" y1="2.4" y2="2.4" class="ground" />
	<!-- Numbers and names of tones, made by ourselves: element by element it would be the slowest part of a page. -->
	<!-- eslint-disable-next-line svelte/no-at-html-tags -- nothing that anybody typed is in it -->
	{@html drawn.shapes}
</svg>

<style>
	/* What moves in it repaints nothing around it. */
	.figure {
		display: block;
		overflow: hidden;
		contain: layout paint;
	}
	.figure :global(polyline) {
		fill: none;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.ground {
		stroke: var(--color-base-300);
		stroke-width: 1;
	}
	.figure :global(polyline.near) {
		stroke: var(--color-base-content);
	}
	.figure :global(polyline.far) {
		stroke: color-mix(in srgb, var(--color-base-content) 48%, var(--color-base-100));
	}
	.figure :global(polyline.halo) {
		stroke: var(--color-base-100);
	}
	.figure :global(polyline.prop),
	.figure :global(polyline.thin) {
		stroke: var(--color-warning);
	}
	.figure :global(circle.near) {
		fill: var(--color-base-content);
	}
	.figure :global(circle.prop),
	.figure :global(rect.solid) {
		fill: var(--color-warning);
	}
	.figure :global(rect.prop) {
		fill: color-mix(in srgb, var(--color-warning) 22%, var(--color-base-100));
		stroke: var(--color-warning);
		stroke-width: 1.6;
	}
</style>
