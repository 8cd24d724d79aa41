<script lang="ts">
	import type { LiveGroup } from '$contracts/live';
	import { hoursText } from '$lib/format';

	/** Who is in a session, who has ended it and who stopped; pain before all. */
	let { present, now, base }: { present: LiveGroup['present']; now: number; base: string } = $props();
	const ago = (at: number) => (now - at < 60_000 ? 'now' : `${hoursText(now - at)} ago`);
	type One = LiveGroup['present'][number];
	const where = ({ phase, what, quiet, at }: One) => {
		if (quiet) return `nothing heard for ${hoursText(now - at)}`;
		if (phase === 'going') return what ?? 'at it';
		if (phase === 'paused') return `paused${what ? `: ${what}` : ''}`;
		return phase === 'over' ? 'through with it' : phase === 'left' ? 'stopped on the way' : 'about to begin';
	};
</script>

<ul>
	{#each present as one (one.id)}
		<li class="border-base-300 border-b py-1.5 last:border-b-0">
			<p class="flex justify-between gap-2">
				<a class="min-w-0 truncate font-semibold hover:underline" href="{base}/people/{one.id}">{one.name}</a>
				<span class="quiet whitespace-nowrap">day {one.day}</span>
			</p>
			{#each one.hurts as hurt, i (i)}<p class="remark remark-safety my-0.5">
					<b>{hurt.area === 'elsewhere' ? 'It hurts' : `The ${hurt.area} hurts`}</b>, {hurt.exercise}
				</p>{/each}
			<p class="flex justify-between gap-2">
				<span class="min-w-0 truncate">{where(one)}</span><span class="quiet whitespace-nowrap"
					>{ago(one.at)}</span
				>
			</p>
			{#if one.phase === 'going' || one.phase === 'paused'}<div
					class="bg-base-300 mt-1 h-1.5"
					aria-hidden="true"
				>
					<div class="bg-primary h-full" style:width="{Math.round(100 * one.share)}%"></div>
				</div>{/if}
		</li>
	{/each}
</ul>
