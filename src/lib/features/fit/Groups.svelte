<script lang="ts">
	import type { Attention } from '$core/day';
	import type { FitMatrix } from '$lib/server/training/fit/fit';
	import { counted } from '$lib/format';
	import { HOLD_TEXT } from '$lib/ui/hold-text';

	/** A line for each group of people whom the same is different for, those who need attention first. */
	let { matrix, base }: { matrix: FitMatrix; base: string } = $props();

	const HEAD: Record<Attention, string> = {
		nothing: 'Nothing fits',
		held: 'Get nothing yet',
		'left out': 'Something is left out',
		longer: 'Takes longer than they have',
		none: ''
	};
	const SHOWN = 6;
	type Group = FitMatrix['groups'][number];
	const headOf = ({ attention, differences, people }: Group): string =>
		attention !== 'none'
			? HEAD[attention]
			: differences.length === 0
				? `As planned for ${people.length}`
				: counted(differences.length, 'difference');
	const peopleOf = ({ people }: Group) => people.flatMap((place) => matrix.people[place] ?? []);
</script>

<ul class="panel divide-base-300 divide-y" aria-label="Who gets what, by what is different">
	{#each matrix.groups as group, i (i)}
		{@const people = peopleOf(group)}
		<li class="grid gap-x-6 gap-y-1 px-4 py-2.5 md:grid-cols-[14rem_minmax(0,1fr)_minmax(0,1.4fr)]">
			<p class={['font-semibold', group.attention !== 'none' && 'attention']}>{headOf(group)}</p>
			<p class="text-sm">
				{#each people.slice(0, SHOWN) as one, at (one.id)}{at > 0 ? ', ' : ''}<a
						class="link-quiet"
						href="{base}/{one.id}"
						>{#if one.hold}<s>{one.name}</s>{:else}{one.name}{/if}</a
					>{#if one.hold}<span class="quiet">{` (${HOLD_TEXT[one.hold]})`}</span
						>{/if}{#if group.attention === 'longer'}<span class="quiet">
							({Math.round(one.row.seconds / 60)} of {one.minutes} min)</span
						>{/if}{/each}{#if people.length > SHOWN}<span class="quiet"
						>, and {people.length - SHOWN} more</span
					>{/if}
			</p>
			<ul class="text-sm">
				{#each group.differences as { from, to, why } (`${from} ${to}`)}
					<li>
						<span class="quiet">{from} →</span>
						{to ?? 'left out'}{#if why}<span class="quiet text-[13px]">, {why}</span>{/if}
					</li>
				{/each}
			</ul>
		</li>
	{/each}
</ul>
