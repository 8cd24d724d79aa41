<script lang="ts">
	import type { Muscle } from '$core/exercise';
	import { capital } from '$core/text/words';
	import { counted } from '$lib/format';
	import { areasOf, BODY_OUTLINE, stepOf } from '$lib/ui/body-shapes';

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
	const SIDES = ['front', 'back'] as const;
	const AREAS = SIDES.flatMap((side) => areasOf(side).map((area) => ({ ...area, side })));
	const id = $props.id();
	/** The area that the keyboard is on. */
	let current = $state(0);

	const text = (muscle: Muscle): string => {
		const n = sets[muscle];
		return `${capital(muscle)}: ${n === 1 ? '1 set' : `${counted(n, 'set')}`}`;
	};
	function move(event: KeyboardEvent) {
		const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
		if (!by) return;
		event.preventDefault();
		current = (current + by + AREAS.length) % AREAS.length;
		onchoose?.(AREAS[current]?.muscle ?? null);
	}
</script>

<div
	class="map"
	role="listbox"
	tabindex="0"
	aria-label="Sets per muscle, front and back; arrow keys go from one to the next"
	aria-activedescendant="{id}-{current}"
	onkeydown={move}
	onfocus={() => onchoose?.(AREAS[current]?.muscle ?? null)}
	onblur={() => onchoose?.(null)}
>
	{#each SIDES as side (side)}
		<div class="text-center" role="group" aria-label={side}>
			<svg viewBox="8 0 84 200" class="h-48" role="presentation">
				<path class="body" d={BODY_OUTLINE} />
				{#each AREAS as area, i (area.side + area.muscle)}
					{#if area.side === side}
						<path
							id="{id}-{i}"
							d={area.path}
							class={['muscle', 's' + stepOf(sets[area.muscle]), chosen === area.muscle && 'chosen']}
							role="option"
							aria-selected={chosen === area.muscle}
							tabindex="-1"
							aria-label={text(area.muscle)}
							onpointerenter={() => onchoose?.(area.muscle)}
							onpointerleave={() => onchoose?.(null)}><title>{text(area.muscle)}</title></path
						>
					{/if}
				{/each}
			</svg>
			<p class="quiet text-[12px]" aria-hidden="true">{side}</p>
		</div>
	{/each}
</div>
<p class="min-h-5 text-center text-sm" aria-live="polite">{chosen ? text(chosen) : ''}</p>

<style>
	.map {
		display: flex;
		justify-content: space-around;
		gap: 0.5rem;
		border-radius: 4px;
	}
	.body {
		fill: color-mix(in srgb, var(--color-base-300) 55%, var(--color-base-100));
		stroke: color-mix(in srgb, var(--color-base-content) 45%, var(--color-base-100));
		stroke-width: 0.9;
		stroke-linejoin: round;
	}
	.muscle {
		stroke: color-mix(in srgb, var(--color-base-content) 30%, var(--color-base-100));
		stroke-width: 0.5;
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
