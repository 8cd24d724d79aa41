<script lang="ts">
	import { counted, placeOf, timeOfDay } from '$lib/format';

	/** A day of 24 hours, with who trains in each. */
	interface Props {
		hours: readonly {
			hour: number;
			people: readonly { name: string; zone: string; localMinutes: number }[];
		}[];
		place: string;
	}
	let { hours, place }: Props = $props();
	const most = $derived(Math.max(1, ...hours.map(({ people }) => people.length)));
	const two = (hour: number) => String(hour).padStart(2, '0');
	const who = (people: Props['hours'][number]['people']) =>
		people.map((one) => `${one.name}, ${timeOfDay(one.localMinutes)} in ${placeOf(one.zone)}`).join('; ');
</script>

<ol
	class="mt-2 grid grid-cols-[repeat(24,minmax(0,1fr))] items-end gap-1"
	aria-label="Hours of the day in {place}"
>
	{#each hours as { hour, people } (hour)}
		<li
			class="flex flex-col items-center gap-0.5"
			title={people.length > 0 ? who(people) : undefined}
			aria-label="{two(hour)}:00, {counted(people.length, 'person', 'people')}"
		>
			<span class="text-[13px] font-semibold">{people.length > 0 ? people.length : ''}</span>
			<span
				class={['w-full rounded-sm', people.length > 0 ? 'bg-primary' : 'bg-base-300']}
				style="height:{people.length > 0 ? 8 + (64 * people.length) / most : 2}px"
			></span>
			<span class="quiet clock h-4 text-[12px]" aria-hidden="true">{hour % 3 === 0 ? two(hour) : ''}</span>
		</li>
	{/each}
</ol>
<p class="quiet text-center text-[13px]">hour of the day in {place}, people</p>
