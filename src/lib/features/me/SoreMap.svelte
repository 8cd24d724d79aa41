<script lang="ts">
	import { SORE_AREAS, SORE_KEYS, SORENESS_WORDS, type SoreArea, type Soreness } from '$core/wellbeing';

	/** A body from the front and from behind: a tap on a part says it is sore, another says more, the fourth takes it back. */
	let { value }: { value: Soreness } = $props();
	// svelte-ignore state_referenced_locally
	let sore = $state<Soreness>({ ...value });
	const MOST = 3;

	/** Where each part is drawn, in a figure 100 wide and 220 high; pairs are two shapes. */
	const SHAPES: Record<SoreArea, [x: number, y: number, width: number, height: number, round: number][]> = {
		neck: [[43, 26, 14, 10, 3]],
		shoulders: [
			[24, 36, 15, 15, 7],
			[61, 36, 15, 15, 7]
		],
		chest: [[37, 40, 26, 22, 5]],
		arms: [
			[19, 52, 12, 30, 6],
			[69, 52, 12, 30, 6]
		],
		forearms: [
			[14, 84, 11, 28, 5],
			[75, 84, 11, 28, 5]
		],
		belly: [[38, 64, 24, 32, 5]],
		'upper back': [[36, 39, 28, 30, 5]],
		'lower back': [[38, 71, 24, 22, 5]],
		glutes: [[35, 95, 30, 20, 8]],
		'front of thighs': [
			[33, 104, 15, 44, 7],
			[52, 104, 15, 44, 7]
		],
		'back of thighs': [
			[33, 118, 15, 36, 7],
			[52, 118, 15, 36, 7]
		],
		shins: [
			[35, 158, 12, 42, 5],
			[53, 158, 12, 42, 5]
		],
		calves: [
			[34, 160, 14, 38, 6],
			[52, 160, 14, 38, 6]
		]
	};
	/** What is drawn of the rest, so that it is seen as a body. */
	const REST = [
		[42, 4, 16, 20, 8],
		[12, 114, 9, 12, 4],
		[79, 114, 9, 12, 4],
		[35, 202, 12, 10, 4],
		[53, 202, 12, 10, 4]
	] as const;
	/** Parts that are drawn on one side only, seen from the other as well. */
	const BEHIND = { front: ['neck', 'glutes'], back: ['shoulders', 'arms', 'forearms'] } as const;
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
		{#each ['front', 'back'] as const as side (side)}
			<figure class="bg-base-200 rounded pt-2">
				<svg viewBox="0 0 100 216" class="mx-auto h-80" role="group" aria-label="Body, {side}">
					{#each REST as [x, y, width, height, rx] (`${x} ${y}`)}
						<rect {x} {y} {width} {height} {rx} class="fill-base-100 stroke-base-300" stroke-width="1" />
					{/each}
					{#each BEHIND[side].flatMap((area) => SHAPES[area]) as [x, y, width, height, rx] (`${x} ${y}`)}
						<rect {x} {y} {width} {height} {rx} class="fill-base-100 stroke-base-300" stroke-width="1" />
					{/each}
					{#each SORE_KEYS.filter((area) => SORE_AREAS[area] === side) as area (area)}
						<g
							role="button"
							tabindex="0"
							aria-label="{area}: {says(area)}"
							class={['stroke-base-content/50 cursor-pointer focus-visible:outline-2', FILL[sore[area] ?? 0]]}
							onclick={() => press(area)}
							onkeydown={(event) => {
								if (event.key !== 'Enter' && event.key !== ' ') return;
								event.preventDefault();
								press(area);
							}}
						>
							{#each SHAPES[area] as [x, y, width, height, rx] (x)}<rect
									{x}
									{y}
									{width}
									{height}
									{rx}
									stroke-width="1"
								/>{/each}
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
