<script lang="ts">
	import type { Muscle } from '$core/exercise';
	import { ovalsOf, stepOf } from './body-shapes';

	/** A body from the front and from behind; the more sets a muscle has, the fuller its colour. */
	let {
		sets,
		chosen = null,
		onchoose
	}: {
		sets: Record<Muscle, number>;
		chosen?: Muscle | null;
		onchoose?: (muscle: Muscle | null) => void;
	} = $props();
	const worked = $derived(
		Object.entries(sets)
			.filter(([, n]) => n > 0)
			.map(([muscle, n]) => `${muscle} ${n}`)
	);
	const SIDES = ['front', 'back'] as const;
</script>

<div class="flex justify-around gap-2" role="img" aria-label="Sets per muscle: {worked.join(', ') || 'none'}">
	{#each SIDES as side (side)}
		<figure class="text-center">
			<svg viewBox="14 0 72 192" class="h-44" aria-hidden="true">
				<g class="body">
					<circle cx="50" cy="15" r="10" />
					<path d="M50 24v8" stroke-width="9" />
					<path d="M34 38h32l-4 44 3 14H35l3-14z" stroke-width="8" />
					<path d="M31 41 26 62 22 92M69 41l5 21 4 30" stroke-width="9" fill="none" />
					<path d="M41 96 40 140 40 184M59 96l1 44v44" stroke-width="13" fill="none" />
				</g>
				{#each ovalsOf(side) as oval, i (i)}
					<ellipse
						class={['s' + stepOf(sets[oval.muscle]), chosen === oval.muscle && 'chosen']}
						cx={oval.x}
						cy={oval.y}
						rx={oval.rx}
						ry={oval.ry}
						transform="rotate({oval.turn} {oval.x} {oval.y})"
						role="presentation"
						onpointerenter={() => onchoose?.(oval.muscle)}
						onpointerleave={() => onchoose?.(null)}
						><title>{oval.muscle}: {sets[oval.muscle]} sets</title></ellipse
					>
				{/each}
			</svg>
			<figcaption class="quiet text-[12px]">{side}</figcaption>
		</figure>
	{/each}
</div>

<style>
	.body {
		fill: var(--color-base-300);
		stroke: var(--color-base-300);
		stroke-linejoin: round;
		stroke-linecap: round;
		opacity: 0.65;
	}
	ellipse {
		stroke: var(--color-base-100);
		stroke-width: 0.8;
	}
	.s0 {
		fill: var(--color-base-100);
	}
	.s1 {
		fill: color-mix(in srgb, var(--color-primary) 28%, var(--color-base-100));
	}
	.s2 {
		fill: color-mix(in srgb, var(--color-primary) 52%, var(--color-base-100));
	}
	.s3 {
		fill: color-mix(in srgb, var(--color-primary) 76%, var(--color-base-100));
	}
	.s4 {
		fill: var(--color-primary);
	}
	.chosen {
		stroke: var(--color-base-content);
		stroke-width: 1.6;
	}
</style>
