<script lang="ts">
	import type { DayState } from '$core/day';

	/** The drawing of one day, within a box of PLATE's size; belongs inside an svg. */
	let { state, credit, pain = false }: { state: DayState; credit: number; pain?: boolean } = $props();

	const TOP = 5;
	const HEIGHT = 19;
	const CUT = 'M1 5 H7 L11 10 V24 H1 Z';
	/** To a tenth: finer is not seen, and written out in full it is most of a page of many. */
	const fill = $derived(Math.round(Math.max(0, Math.min(1, credit)) * HEIGHT * 10) / 10);
</script>

{#if state === 'done'}
	<rect x="1" y={TOP} width="10" height={HEIGHT} rx="1" class="work" />
{:else if state === 'partial'}
	<rect x="1.5" y={TOP + 0.5} width="9" height={HEIGHT - 1} rx="1" class="edge" />
	<rect x="1" y={TOP + HEIGHT - fill} width="10" height={fill} rx="1" class="work" />
{:else if state === 'late'}
	<path d={CUT} class="edge" />
	<path
		d={fill >= HEIGHT - 5
			? `M1 ${TOP + HEIGHT - fill} H${6 + fill / HEIGHT} L11 10 V24 H1 Z`
			: `M1 ${24 - fill} H11 V24 H1 Z`}
		class="late"
	/>
{:else if state === 'missed'}
	<rect x="1.5" y={TOP + 0.5} width="9" height={HEIGHT - 1} rx="1" class="edge faint" />
	<rect x="1" y={TOP + HEIGHT - 2.5} width="10" height="2.5" class="missed" />
{:else if state === 'excused'}
	<path d="M2 24 L10 5" class="stroke" />
{:else if state === 'held'}
	<rect x="1.5" y={TOP + 0.5} width="9" height={HEIGHT - 1} rx="1" class="edge faint" />
	<path d="M1 12.5 H11 M1 16.5 H11" class="stroke" />
{:else if state === 'open'}
	<rect x="0.75" y={TOP - 0.25} width="10.5" height={HEIGHT + 0.5} rx="1.5" class="edge strong" />
	<rect x="3.25" y={TOP + 2.25} width="5.5" height={HEIGHT - 4.5} rx="0.5" class="edge strong" />
{:else if state === 'rest'}
	<rect x="2" y="22.5" width="8" height="1.5" class="faint-fill" />
{:else if state === 'cancelled'}
	<rect
		x="1.5"
		y={TOP + 0.5}
		width="9"
		height={HEIGHT - 1}
		rx="1"
		class="edge strong"
		stroke-dasharray="2 2"
	/>
{:else}
	<circle cx="6" cy="22.5" r="1.2" class="faint-fill" />
{/if}
{#if pain}
	<path d="M2.5 0 H9.5 L6 4 Z" class="pain" />
{/if}

<style>
	.work {
		fill: var(--color-primary);
	}
	.late {
		fill: var(--late);
	}
	.missed {
		fill: var(--color-warning);
	}
	.pain {
		fill: var(--color-error);
	}
	.edge {
		/* Filled with nothing to see, so that the words show wherever the plate is pointed at. */
		fill: transparent;
		stroke: var(--color-primary);
		stroke-width: 1;
	}
	.edge.faint {
		stroke: color-mix(in srgb, var(--color-base-content) 45%, transparent);
	}
	.edge.strong {
		stroke: var(--color-base-content);
	}
	.stroke {
		stroke: var(--color-base-content);
		stroke-width: 1.2;
		fill: none;
	}
	.faint-fill {
		fill: color-mix(in srgb, var(--color-base-content) 40%, transparent);
	}
</style>
