<script lang="ts">
	import type { OutlinePart } from '$core/analysis';
	import { figureNamed } from '$core/figures';
	import Figure from '$lib/ui/Figure.svelte';

	/** An exercise with its figure; a tap shows it from start to end, with all its cues and its easier and harder form. */
	let { part }: { part: OutlinePart } = $props();
	const figure = $derived(figureNamed(part.figure));
	let open = $state(false);
</script>

<li class="border-base-300 border-b last:border-b-0">
	<details class="group" bind:open>
		<summary
			class="opens grid cursor-pointer grid-cols-[72px_minmax(0,1fr)_minmax(0,auto)_16px] items-center gap-x-3 py-2"
		>
			<span class="relative flex h-16 items-end justify-center">
				<span class="quiet clock absolute top-0 left-0 text-[13px]">{part.mark}</span>
				{#if figure}<Figure {figure} class="h-14 w-full" />{/if}
			</span>
			<span>
				<b>{part.exercise}</b>
				{#if part.cues.length > 0}<span class="quiet block text-[15px]">{part.cues[0]}</span>{/if}
			</span>
			<span class="flex items-center gap-1.5 text-right">
				<span>
					{#if part.much}<b class="block">{part.much}</b>{/if}
					{#if part.load}<span class="quiet block text-[15px]">{part.load}</span>{/if}
					{#if part.tempo}<span class="quiet clock block text-[15px]" title="seconds down, pause, up, pause"
							>{part.tempo}</span
						>{/if}
				</span>
			</span>
		</summary>
		<div class="pb-3">
			{#if figure && open}
				<div class="grid grid-cols-3 gap-2 text-center text-[13px]">
					<figure>
						<Figure {figure} at={0} class="h-24 w-full" />
						<figcaption class="quiet">start</figcaption>
					</figure>
					<figure>
						<Figure {figure} moving class="h-24 w-full" label="{part.exercise}, from start to end" />
						<figcaption class="quiet">movement</figcaption>
					</figure>
					<figure>
						<Figure {figure} at={1} class="h-24 w-full" />
						<figcaption class="quiet">end</figcaption>
					</figure>
				</div>
			{/if}
			{#if part.cues.length > 1}
				<ul class="mt-2 list-disc pl-5 text-[15px]">
					{#each part.cues.slice(1) as cue (cue)}<li>{cue}</li>{/each}
				</ul>
			{/if}
			{#if part.instead.length > 0}
				<ul class="mt-2 flex flex-col gap-1 text-[15px]">
					{#each part.instead as one (one.text)}
						{@const other = figureNamed(one.exercise)}
						<li class="remark flex items-end gap-3">
							<span class="flex-1">{one.text}</span>
							{#if other && open}<Figure figure={other} class="h-12 w-16" />{/if}
						</li>
					{/each}
				</ul>
			{/if}
			{#if part.easier || part.harder}
				<dl class="mt-2 grid grid-cols-2 gap-2 text-[15px]">
					{#each [{ way: 'Easier', name: part.easier }, { way: 'Harder', name: part.harder }] as form (form.way)}
						<div>
							{#if form.name}
								{@const other = figureNamed(form.name)}
								<dt class="quiet">{form.way}</dt>
								<dd>
									{form.name}
									{#if other && open}<Figure figure={other} class="mt-1 h-16 w-full" />{/if}
								</dd>
							{/if}
						</div>
					{/each}
				</dl>
			{/if}
		</div>
	</details>
	{#each part.instead.filter(({ forThem }) => forThem) as one (one.text)}<p class="remark mb-2 text-[15px]">
			<b>For you.</b>
			{one.text}
		</p>{/each}
	{#each part.cautions as caution (caution)}<p class="remark remark-safety mb-2 text-[15px]">
			{caution}
		</p>{/each}
</li>

<style>
	/* Which way it opens, drawn once and not in every row. */
	.opens::after {
		content: '';
		width: 0.55rem;
		height: 0.55rem;
		margin: -0.25rem 0 0 0.1rem;
		border-right: 2px solid var(--quiet);
		border-bottom: 2px solid var(--quiet);
		rotate: 45deg;
	}
	details[open] > .opens::after {
		margin-top: 0.25rem;
		rotate: 225deg;
	}
</style>
