<script lang="ts">
	import { page } from '$app/state';
	import type { Role } from '$core/people';
	import { placesFor } from '$lib/ui/keys';

	let { base, role, search, onhelp }: { base: string; role: Role; search: string; onhelp: () => void } =
		$props();
</script>

<nav
	aria-label="Places"
	class="bg-base-100 border-base-300 shrink-0 border-b print:hidden md:w-32 md:border-r md:border-b-0"
>
	<ul class="flex overflow-x-auto md:flex-col">
		{#each placesFor(role) as place, i (place.path)}
			{@const here = page.url.pathname.startsWith(`${base}/${place.path}`)}
			<li>
				<a
					href="{base}/{place.path}{search}"
					aria-current={here ? 'page' : undefined}
					class={[
						'flex items-baseline justify-between gap-3 border-b-2 px-3 py-2 font-semibold md:border-b-0 md:border-l-[3px]',
						here ? 'border-primary bg-primary/10' : 'quiet hover:text-base-content border-transparent'
					]}
				>
					{place.name}<span class="quiet hidden text-xs font-normal md:inline" aria-hidden="true"
						>{i + 1}</span
					>
				</a>
			</li>
		{/each}
		<li class="md:mt-3">
			<button class="quiet hover:text-base-content w-full px-3.5 py-2 text-left text-sm" onclick={onhelp}
				>Keyboard shortcuts (?)</button
			>
			<a class="quiet hover:text-base-content block px-3.5 py-2 text-sm" href="/glossary">Glossary</a>
		</li>
	</ul>
</nav>
