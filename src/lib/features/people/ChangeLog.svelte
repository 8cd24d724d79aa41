<script lang="ts">
	import { dayAndTimeIn } from '$lib/format';

	/** What was changed about somebody, the newest first. */
	interface Props {
		name: string;
		changes: readonly { id: number; madeBy: 'coach' | 'participant' | 'rule'; what: string; at: number }[];
		zone: string;
	}
	let { name, changes, zone }: Props = $props();
	const by = $derived({ coach: 'you', participant: name, rule: 'by date' } as const);
</script>

{#if changes.length > 0}
	<details class="panel p-4">
		<summary class="font-head cursor-pointer text-lg font-bold">What changed</summary>
		<ul class="mt-1 text-sm">
			{#each changes as one (one.id)}
				<li class="border-base-300 border-b py-1 last:border-b-0">
					{one.what}
					<span class="quiet block text-[13px]">{dayAndTimeIn(zone, one.at)}, {by[one.madeBy]}</span>
				</li>
			{/each}
		</ul>
	</details>
{/if}
