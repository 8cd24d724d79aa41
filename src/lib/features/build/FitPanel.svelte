<script lang="ts">
	import { onMount } from 'svelte';
	import type { Fit, Proposal } from '$core/analysis';
	import { clockText, formatOf, type Session } from '$core/session';
	import { fitWorker } from '$lib/features/build/fit';
	import { workshop } from './workshop';

	/** Ways to bring a session to a number of minutes, worked out beside the page; one click takes one. */
	let {
		session,
		minutes,
		ontake,
		onclose
	}: { session: Session; minutes: number; ontake: (session: Session) => void; onclose: () => void } =
		$props();
	const shop = workshop();
	// svelte-ignore state_referenced_locally
	let wanted = $state(minutes);
	let fit = $state.raw<Fit | null>(null);
	let fault = $state('');
	let worker: ReturnType<typeof fitWorker> | null = null;
	let asked = 0;

	onMount(() => {
		worker = fitWorker();
		return () => worker?.stop();
	});

	async function look(of: Session, to: number) {
		const turn = ++asked;
		if (!worker || !(to >= 1 && to <= 180)) return;
		try {
			// A worker takes plain values only; none of these is watched by the page.
			const found = await worker.work.fit(of, to, shop().own, shop().house);
			if (turn === asked) [fit, fault] = [found, ''];
		} catch {
			if (turn === asked)
				fault = 'The ways to fit could not be worked out. Change the session and try again.';
		}
	}
	$effect(() => {
		void look(session, wanted);
	});

	function changeWords(proposal: Proposal): string {
		return proposal.changes
			.map((c) => {
				const block = session.blocks[c.block];
				return `${block ? formatOf(block).label : ''} ${c.block + 1}: ${c.label} ${c.from} → ${c.to}${c.unit ? ` ${c.unit}` : ''}`;
			})
			.join('; ');
	}
</script>

<section class="panel mb-4 px-4 py-3" aria-labelledby="fit">
	<div class="mb-2 flex flex-wrap items-center gap-3">
		<h2 id="fit">Ways to fit</h2>
		<label class="flex items-center gap-2 text-sm"
			><span class="quiet">into</span>
			<input
				type="number"
				min="1"
				max="180"
				class="input input-sm w-20"
				bind:value={wanted}
				aria-label="Minutes to fit into"
			/> <span class="quiet">minutes</span></label
		>
		<button type="button" class="btn btn-ghost btn-sm ml-auto font-normal" onclick={onclose}>Close</button>
	</div>
	{#if fault}<p class="field-fault" role="alert">{fault}</p>
	{:else if !(wanted >= 1 && wanted <= 180)}<p class="field-fault">A session takes from 1 to 180 minutes.</p>
	{:else if !fit}<p class="quiet text-sm" role="status">Looking for the smallest changes …</p>
	{:else if fit.cannot}<p class="text-sm">{fit.cannot}</p>
	{:else}
		<table class="sheet text-sm">
			<thead
				><tr
					><th>What</th><th>Before</th><th>After</th><th>Changes</th><th><span class="sr-only">Take</span></th
					></tr
				></thead
			>
			<tbody>
				{#each fit.proposals as proposal, i (proposal.name)}
					<tr>
						<td class="font-semibold"
							>{proposal.name}{#if i === 0 && fit.proposals.length > 1}<span
									class="quiet block text-[13px] font-normal">nearest to what you have</span
								>{/if}</td
						>
						<td class="clock">{clockText(proposal.before)}</td>
						<td class="clock font-bold">{clockText(proposal.after)}</td>
						<td>{changeWords(proposal)}</td>
						<td class="text-right"
							><button type="button" class="btn btn-sm btn-outline" onclick={() => ontake(proposal.session)}
								>Take it</button
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="quiet mt-1 text-[13px]">
			Within 2 % of the minutes. Warm-up and cool-down keep three quarters of their length.
		</p>
	{/if}
</section>
