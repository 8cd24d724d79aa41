<script lang="ts">
	import { amountsText, unitOf } from '$core/session/amount';
	import { readIn, weightIn } from '$core/kit/units';
	import { clockText } from '$core/session';
	import { scoreWords } from '$lib/features/me/said';
	import { performanceKey, setsWords } from '$core/progress';
	import { dayAndTimeIn, percent } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	type Time = PageProps['data']['shown'];
	const shown = $derived(data.shown);
	const nameOf = ({ day, again }: Time) => (again ? `day ${day}, again` : `day ${day}`);
	const [before, now] = $derived(
		data.other && data.other.at < shown.at ? [data.other, shown] : [shown, data.other ?? shown]
	);
	const WORDS = { better: 'better', less: 'less', same: 'the same' } as const;
	const facts = $derived(
		[
			`${percent(shown.credit)} of what was asked`,
			shown.effort === null ? '' : `effort ${shown.effort} of 10`,
			shown.seconds === null ? '' : clockText(shown.seconds),
			...shown.scores.map(scoreWords)
		].filter(Boolean)
	);
</script>

<svelte:head><title>Day {shown.day}, as you did it</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me/history">Back to your history</a></p>
<main class="flex flex-col gap-5">
	<div>
		<h1 class="text-3xl">Day {shown.day}{shown.again ? ', again' : ''}</h1>
		<p>{shown.name} <span class="quiet">· {dayAndTimeIn(data.zone, shown.at)}</span></p>
		<p>{facts.join(' · ')}</p>
	</div>
	{#if data.times.length > 1}
		<nav class="flex flex-wrap gap-2" aria-label="Times that you did this day">
			{#each data.times as one (one.id)}<a
					class={['btn min-h-11', one.id === shown.id ? 'btn-primary' : 'btn-outline']}
					aria-current={one.id === shown.id ? 'page' : undefined}
					href="?time={one.id}">{dayAndTimeIn(data.zone, one.at)}</a
				>{/each}
		</nav>
	{/if}
	{#if shown.hurts}<p class="remark remark-safety"><b>It hurt:</b> {shown.hurts}</p>{/if}
	{#if shown.note}<p class="quiet">“{shown.note}”</p>{/if}

	<section class="panel p-4" aria-labelledby="asked">
		<h2 id="asked">Asked and done</h2>
		<div class="overflow-x-auto">
			<table class="w-full text-[15px]">
				<thead class="sr-only"
					><tr><th>Exercise and what was asked</th><th>Sets as done, with load and effort</th></tr></thead
				>
				<tbody>
					{#each data.exercises as { exercise, load, sets } (`${exercise.block}.${exercise.part}`)}
						{@const used = sets.find(({ done }) => done?.used)?.done?.used}
						<tr class="border-base-300 border-b align-top last:border-b-0">
							<th class="py-2 pr-3 text-left font-normal"
								><b>{used ?? exercise.exercise}</b>{#if used}<span class="quiet block"
										>in place of {exercise.exercise}</span
									>{/if}
								<span class="quiet block"
									>{sets.length > 1 ? `${sets.length} × ` : ''}{amountsText(
										exercise.target,
										exercise.each
									)}{exercise.perSide ? ' per side' : ''}{load ? `, ${readIn(load, data.units)}` : ''}</span
								></th
							>
							<td class="tabular-nums py-2 text-right">
								{#each sets as { asked, done }, i (i)}
									<span class={['block whitespace-nowrap', (done?.amount ?? 0) < asked && 'attention']}
										>{done
											? done.left !== null && done.left !== undefined
												? `${done.left} left, ${done.right} right`
												: done.amount
											: 0}
										{unitOf(exercise.target)}{done?.kg && done.kg !== exercise.kg
											? `, ${weightIn(done.kg, data.units)} ${data.units}`
											: ''}{done?.effort === null || done?.effort === undefined
											? ''
											: `, effort ${done.effort}`}</span
									>
								{/each}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</section>

	{#if data.other}
		<section class="panel p-4" aria-labelledby="compared">
			<h2 id="compared">The same session, {nameOf(before)} and {nameOf(now)}</h2>
			{#if data.same.length > 1}
				<form class="mb-2 flex items-end gap-2" method="get">
					<input type="hidden" name="time" value={shown.id} />
					<label class="flex-1"
						><span class="quiet block text-[15px]">Compared with</span><select
							class="select min-h-11 w-full"
							name="with"
							value={data.other.id}
							onchange={(event) => event.currentTarget.form?.requestSubmit()}
						>
							{#each data.same as one (one.id)}<option value={one.id}
									>{nameOf(one)}, {dayAndTimeIn(data.zone, one.at)}</option
								>{/each}
						</select></label
					>
					<noscript><button class="btn min-h-11">Compare</button></noscript>
				</form>
			{/if}
			<ul>
				{#each data.compared as one (performanceKey(one))}
					<li class="border-base-300 border-b py-2 last:border-b-0">
						<p class="flex justify-between gap-3">
							<b>{one.exercise}</b><span class={['whitespace-nowrap', one.change !== 'better' && 'quiet']}
								>{one.change ? WORDS[one.change] : one.now ? 'new' : 'not done'}</span
							>
						</p>
						{#if one.now}<p>{setsWords(one.now, data.units)}</p>{/if}
						{#if one.before}<p class="quiet text-[15px]">
								{nameOf(before)}: {setsWords(one.before, data.units)}
							</p>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#if data.mayRepeat}
		<div>
			<a class="btn btn-outline min-h-14 w-full text-lg" href="/me/day/{shown.day}/run?again=yes"
				>Do this session again</a
			>
			<p class="quiet mt-1 text-[15px]">
				It is kept and compared, and changes nothing of your days. Not instead of rest: what your body learns,
				it learns while resting.
			</p>
		</div>
	{/if}
</main>
