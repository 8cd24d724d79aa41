<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { dayAndTimeIn, placeOf } from '$lib/format';
	import type { Role } from '$core/people';
	import Brand from '$lib/ui/Brand.svelte';
	import { firstPlace, placesFor } from '$lib/ui/keys';

	interface Props {
		coach: { name: string; zone: string; operator: boolean };
		challenges: { id: string; name: string; role: Role }[];
		now: number;
		/** Where the challenge of the page stands, in words. */
		stand: string | null;
		/** Only with the demo data: a clock that can be moved on. */
		demo: { moved: boolean } | null;
	}
	let { coach, challenges, now, stand, demo }: Props = $props();
	const current = $derived(challenges.find((challenge) => challenge.id === page.params.challenge));
	const place = $derived(page.route.id?.split('/')[4] ?? 'desk');
</script>

<header
	class="print:hidden bg-base-100 border-base-300 flex flex-wrap items-center gap-x-4 gap-y-2 border-b px-4 py-2"
>
	<a href="/challenges" aria-label="Cadrex, all challenges"><Brand /></a>
	{#if challenges.length > 0}
		<details class="dropdown">
			<summary class="btn btn-sm bg-base-100 border-base-content/40 font-semibold"
				>{current?.name ?? 'Choose a challenge'} <ChevronDown size={14} aria-hidden="true" /></summary
			>
			<ul class="menu dropdown-content panel z-30 mt-1 w-72 p-1">
				{#each challenges as challenge (challenge.id)}
					<li>
						<a
							href="/c/{challenge.id}/{placesFor(challenge.role).find(({ path }) => path === place)?.path ??
								firstPlace(challenge.role)}"
							onclick={(event) => event.currentTarget.closest('details')?.removeAttribute('open')}
							>{challenge.name}</a
						>
					</li>
				{/each}
				<li class="border-base-300 mt-1 border-t pt-1"><a href="/challenges/new">New challenge</a></li>
			</ul>
		</details>
	{/if}
	{#if stand}<p class="quiet text-sm">{stand}</p>{/if}
	<div class="ml-auto flex items-center gap-3 text-sm">
		{#if demo}
			<details class="dropdown dropdown-end">
				<summary class="btn btn-sm bg-base-100 border-base-300 clock font-normal">
					{dayAndTimeIn(coach.zone, now)} · demo clock <ChevronDown size={14} aria-hidden="true" />
				</summary>
				<form
					method="post"
					action="/api/demo/clock"
					class="menu dropdown-content panel z-30 mt-1 w-64 gap-1 p-2"
				>
					<input type="hidden" name="back" value={page.url.pathname} />
					<button class="btn btn-sm justify-start" name="move" value="hour">One hour on</button>
					<button class="btn btn-sm justify-start" name="move" value="morning"
						>To the next morning, 07:40</button
					>
					<button class="btn btn-sm justify-start" name="move" value="real" disabled={!demo.moved}
						>Back to the real time</button
					>
					<p class="quiet px-1 pt-1 text-[13px]">The invented people live on as the clock moves.</p>
				</form>
			</details>
		{:else}
			<span class="quiet clock" title="Times are those of {placeOf(coach.zone)}"
				>{dayAndTimeIn(coach.zone, now)}</span
			>
		{/if}
		<details class="dropdown dropdown-end">
			<summary class="btn btn-sm btn-ghost font-normal"
				>{coach.name} <ChevronDown size={14} aria-hidden="true" /></summary
			>
			<div class="dropdown-content panel z-30 mt-1 flex w-56 flex-col gap-1 p-2">
				<a class="btn btn-sm justify-start" href="/account">Account</a>
				{#if coach.operator}<a class="btn btn-sm justify-start" href="/upkeep">Upkeep</a>{/if}
				<form method="post" action="/account?/signOut" use:enhance>
					<button class="btn btn-sm w-full justify-start">Sign out</button>
				</form>
			</div>
		</details>
	</div>
</header>
