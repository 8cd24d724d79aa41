<script lang="ts">
	import { workshop } from '$lib/features/build/workshop';
	import { figureOf } from '$core/figures';
	import { DEMAND_WORDS, needWords, RATED } from '$core/exercise';
	import { inputOfExercise } from '$contracts/exercise';
	import { cuesFor } from '$core/practice';
	import ExerciseForm from '$lib/features/build/ExerciseForm.svelte';
	import Figure from '$lib/ui/Figure.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}/build`);
	const shop = workshop();
	const library = $derived(shop().library);
	const exercise = $derived(data.exercise);
	const figure = $derived(figureOf(exercise.name, library));
	const place = $derived(library.progressionOf(exercise.name));
	const alternatives = $derived(library.alternatives(exercise.name));
	const link = (name: string) => `${base}/library/${encodeURIComponent(name)}`;
	const HOW_MUCH = ['none', 'light', 'moderate', 'high'];
	const rows = $derived([
		['Movement', exercise.pattern],
		['Works', exercise.primary.join(', ')],
		['Assisting', exercise.assisting.join(', ') || 'nothing to speak of'],
		['Equipment', exercise.equipment.map(needWords).join(', ') || 'none'],
		['Position', exercise.position],
		['Counted in', `${exercise.countedIn}${exercise.perSide ? ', per side' : ''}`],
		[
			'Tempo',
			exercise.tempo
				? `${exercise.tempo.join('-')}: ${exercise.tempo[0]} s down, ${exercise.tempo[1]} held, ${exercise.tempo[2]} up, ${exercise.tempo[3]} held`
				: `the house’s, ${shop().house.tempo.join('-')}`
		],
		['Impact', exercise.demands.impact],
		[
			'Balance',
			`${HOW_MUCH[exercise.demands.balance]}${exercise.demands.balance === 0 ? '' : exercise.demands.canHoldOn ? ', a hand can hold on' : ', no hand free to hold on'}`
		],
		['Arms reach', exercise.demands.arms],
		['Lever', exercise.demands.lever],
		['Space', exercise.demands.space],
		['To the floor', exercise.demands.floorTransfer ? 'down and up' : 'no'],
		[
			'Load',
			exercise.demands.relativeLoad === null
				? 'no weight held'
				: `${Math.round(exercise.demands.relativeLoad * 100)} % of a goblet squat`
		]
	]);
</script>

<svelte:head><title>{exercise.name} · Exercise library</title></svelte:head>
<p class="mb-1"><a class="link-quiet" href="{base}/library">Exercise library</a></p>
<div class="mb-3 flex flex-wrap items-baseline gap-3">
	<h1>{exercise.name}</h1>
	{#if exercise.ownId}<span class="text-secondary text-sm font-semibold"
			>your own{exercise.retired ? ', retired' : ''}</span
		>{/if}
	{#if exercise.formerly.length > 0}<span class="quiet text-sm">before: {exercise.formerly.join(', ')}</span
		>{/if}
	<span class="ml-auto flex gap-2">
		<a class="btn btn-sm btn-outline" href="{base}/library/new?like={encodeURIComponent(exercise.name)}"
			>Duplicate as my own</a
		>
		{#if exercise.ownId}
			<form method="post" action="?/retire">
				<input type="hidden" name="retired" value={exercise.retired ? 'no' : 'yes'} /><button
					class="btn btn-sm btn-outline">{exercise.retired ? 'Offer it again' : 'Retire it'}</button
				>
			</form>
		{/if}
	</span>
</div>
<div class="grid gap-4 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
	<section class="panel p-4" aria-label="How it looks">
		{#if figure}
			{#key exercise.name}
				<Figure {figure} moving class="mx-auto h-72 w-full" label="{exercise.name}, from start to end" />
				<div class="mt-2 grid grid-cols-2 gap-2 text-center">
					<figure>
						<Figure {figure} at={0} class="mx-auto h-32 w-full" />
						<figcaption class="quiet text-[13px]">start</figcaption>
					</figure>
					<figure>
						<Figure {figure} at={1} class="mx-auto h-32 w-full" />
						<figcaption class="quiet text-[13px]">end</figcaption>
					</figure>
				</div>
			{/key}
		{:else}<p class="quiet">No figure is drawn for it.</p>{/if}
	</section>
	<section class="panel p-4" aria-label="What is known of it">
		<ul class="mb-3 list-disc pl-5">
			{#each cuesFor(exercise, shop().house) as cue (cue)}<li><b>{cue}</b></li>{/each}
		</ul>
		{#each exercise.cautions as { text } (text)}<p class="remark remark-safety mb-2">{text}</p>{/each}
		<dl class="text-sm">
			{#each rows as [name, value] (name)}<div
					class="border-base-300 grid grid-cols-[7rem_1fr] gap-2 border-b py-1"
				>
					<dt class="quiet">{name}</dt>
					<dd>{value}</dd>
				</div>{/each}
		</dl>
		<h2 class="mt-4 text-lg">What it demands</h2>
		<p class="quiet text-[13px]">
			0 practically none, 1 light, 2 moderate, 3 high. Limits, substitutes and checks go by these ratings.
		</p>
		<dl class="mt-2 grid grid-cols-[max-content_1fr_max-content] items-center gap-x-3 gap-y-1 text-sm">
			{#each RATED as field (field)}
				<dt>{DEMAND_WORDS[field]}</dt>
				<dd class="bg-base-300 h-2" aria-hidden="true">
					<div class="bg-primary h-2" style:width="{(100 * exercise.demands[field]) / 3}%"></div>
				</dd>
				<dd class="tabular-nums">
					{exercise.demands[field]}
					<span class="quiet"
						>{HOW_MUCH[exercise.demands[field]]}{exercise.demandsSet[field] === undefined
							? ', not set'
							: ''}</span
					>
				</dd>
			{/each}
		</dl>
		<p class="quiet mt-2 text-[13px]">
			Cues, pace, muscles and ratings: common practice, no source. Pain is not soreness: stop, and see a
			professional if it lasts.
		</p>
	</section>
</div>
{#if place}
	<section class="mt-4" aria-labelledby="progression">
		<h2 id="progression" class="mb-2">
			Progression: {place.progression.toLowerCase()}
			<span class="quiet text-sm font-normal">from easier to harder</span>
		</h2>
		<ol class="flex flex-wrap items-stretch gap-2">
			{#each place.steps as name, i (name)}
				{@const own = figureOf(name, library)}
				<li class="w-36">
					<a
						href={link(name)}
						aria-current={i === place.at ? 'page' : undefined}
						class={[
							'panel hover:border-primary flex h-full flex-col p-2',
							i === place.at && '!border-primary border-2'
						]}
					>
						<span class="flex h-20 items-end justify-center"
							>{#if own}<Figure figure={own} class="h-20 w-full" />{/if}</span
						>
						<span class="mt-1 text-sm leading-tight"
							><span class="quiet clock">{i + 1}</span>
							{#if i === place.at}<b>{name}</b>{:else}{name}{/if}</span
						>
					</a>
				</li>
			{/each}
		</ol>
	</section>
{/if}
{#if alternatives.length > 0}
	<section class="mt-4" aria-labelledby="other">
		<h2 id="other" class="mb-1">With other equipment</h2>
		<ul class="text-sm">
			{#each alternatives as one (one.exercise.name)}<li>
					<span class="quiet inline-block w-24">{one.form}</span>
					<a class="link-quiet" href={link(one.exercise.name)}>{one.exercise.name}</a>
				</li>{/each}
		</ul>
	</section>
{/if}
<section class="mt-4" aria-labelledby="in">
	<h2 id="in" class="mb-1">In your sessions</h2>
	{#if data.sessions.length === 0}<p class="quiet text-sm">In none of them.</p>{:else}<p class="text-sm">
			{#each data.sessions as session, i (session.id)}{i > 0 ? ', ' : ''}<a
					class="link-quiet"
					href="{base}/{session.id}">{session.name}</a
				>{/each}
		</p>{/if}
</section>
{#if exercise.ownId}
	<section class="mt-6" aria-labelledby="change">
		<h2 id="change" class="mb-2">Change it</h2>
		{#key exercise}<ExerciseForm
				start={inputOfExercise(exercise)}
				answer={form}
				action="?/change"
				submit="Save the exercise"
			/>{/key}
	</section>
{/if}
