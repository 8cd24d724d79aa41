<script lang="ts">
	import type { Muscle } from '$core/exercise';
	import { areasOf, BODY_OUTLINE } from '$lib/ui/body-shapes';
	import { SORE_AREAS, SORE_KEYS, SORENESS_WORDS, type SoreArea, type Soreness } from '$core/wellbeing';

	/** A body from the front and from behind: a tap on a part says it is sore, another says more, the fourth takes it back. */
	let { value }: { value: Soreness } = $props();
	// svelte-ignore state_referenced_locally
	let sore = $state<Soreness>({ ...value });
	const MOST = 3;

	const SIDES = ['front', 'back'] as const;
	/** The muscles of each part that are seen from a side, as one path; parts that are not seen from it are left out. */
	const seenFrom = (side: (typeof SIDES)[number]) =>
		SORE_KEYS.flatMap((area) => {
			const muscles: readonly Muscle[] = SORE_AREAS[area];
			const path = areasOf(side)
				.filter(({ muscle }) => muscles.includes(muscle))
				.map((one) => one.path)
				.join('');
			return path ? { area, path } : [];
		});
	const FILL = ['fill-base-100', 'fill-warning/40', 'fill-warning', 'fill-secondary'];

	const press = (area: SoreArea) => {
		const next = ((sore[area] ?? 0) + 1) % (MOST + 1);
		const { [area]: _before, ...others } = sore;
		sore = next === 0 ? others : { ...others, [area]: next as 1 | 2 | 3 };
	};
	const says = (area: SoreArea) => (sore[area] ? SORENESS_WORDS[sore[area]] : 'not sore');
	const told = $derived(SORE_KEYS.filter((area) => sore[area]));
</script>

<fieldset>
	<legend class="font-head mb-1 text-lg font-bold">Sore from training</legend>
	<p class="quiet mb-2 text-[15px]">Tap where, again for more. Leave it if nothing is.</p>
	{#each told as area (area)}<input type="hidden" name="sore.{area}" value={sore[area]} />{/each}
	<div class="grid grid-cols-2 gap-2">
		{#each SIDES as side (side)}
			<figure class="bg-base-200 rounded pt-2">
				<svg
					viewBox="8 0 84 200"
					class="mx-auto max-h-[384px] max-w-full min-w-0"
					role="group"
					aria-label="Body, {side}"
				>
					<path class="fill-base-300/50 stroke-base-content/40" stroke-width="0.9" d={BODY_OUTLINE} />
					{#each seenFrom(side) as { area, path } (area)}
						<g
							role="button"
							tabindex="0"
							aria-label="{area}, {side}: {says(area)}"
							class="cursor-pointer focus-visible:outline-2"
							onclick={() => press(area)}
							onkeydown={(event) => {
								if (event.key !== 'Enter' && event.key !== ' ') return;
								event.preventDefault();
								press(area);
							}}
						>
							<!-- Wider than it is seen: a thumb is. -->
							<path d={path} class="fill-transparent stroke-transparent" stroke-width="6" />
							<path d={path} class={['stroke-base-content/40', FILL[sore[area] ?? 0]]} stroke-width="0.6" />
						</g>
					{/each}
				</svg>
				<figcaption class="quiet pb-1 text-center text-sm">{side}</figcaption>
			</figure>
		{/each}
	</div>
	<p class="mt-1 min-h-6 text-[15px]" aria-live="polite">
		{told.map((area) => `${area}: ${says(area)}`).join(', ')}
	</p>
</fieldset>
