<script lang="ts">
	import { clockText } from '$core/session';
	import { dayAndTimeIn } from '$lib/format';
	import { grouped } from '$lib/ui/grouped';

	/** The versions of a session, where it is sent, and its ways out. */
	interface Props {
		/** Address of the session. */
		at: string;
		versions: { version: number; savedAt: number; seconds: number }[];
		used: { challenge: string; day: number; version: number }[];
		zone: string;
	}
	let { at, versions, used, zone }: Props = $props();
	const perChallenge = $derived([...grouped(used, (one) => one.challenge)]);
	const SHOWN = 8;
	let all = $state(false);
</script>

<section class="panel p-4" aria-labelledby="versions">
	<h2 id="versions" class="mb-1">Versions and use</h2>
	<ul class="text-sm">
		{#each all ? versions : versions.slice(0, SHOWN) as v (v.version)}
			<li class="flex items-baseline gap-2 py-0.5">
				<b>{v.version}</b>
				<span class="quiet"
					>{dayAndTimeIn(zone, v.savedAt)}, <span class="clock">{clockText(v.seconds)}</span></span
				>
				{#if v.version > 1}<a
						class="link-quiet ml-auto text-[13px]"
						href="{at}/compare?from={v.version - 1}&to={v.version}">what changed</a
					>{/if}
			</li>
		{/each}
	</ul>
	{#if versions.length > SHOWN && !all}<button
			type="button"
			class="link-quiet text-sm"
			onclick={() => (all = true)}>all {versions.length}</button
		>{/if}
	{#each perChallenge as [challenge, days] (challenge)}
		<p class="mt-1 text-sm"><b>{challenge}</b>: day {days.map((one) => one.day).join(', ')}</p>
	{:else}<p class="quiet mt-1 text-sm">On no day yet.</p>{/each}
	<div class="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
		<form method="post" action="?/copy"><button class="link-quiet">Use as a copy</button></form>
		<a class="link-quiet" href="{at}/file.json" download>JSON</a>
		<a class="link-quiet" href="{at}/file.txt" download>text</a>
	</div>
</section>
