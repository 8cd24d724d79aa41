<script lang="ts">
	import { SCREEN_QUESTIONS, type HealthAnswers, type Screening } from '$core/health';

	/** Somebody's health answers, after the coach asked to see them. */
	let { name, answers, screening }: { name: string; answers: HealthAnswers; screening: Screening } = $props();
	const HOW = { now: 'hurts now', sharp: 'sharp, or getting worse', before: 'did once' } as const;
	const facts = $derived(
		[
			['age', answers.age],
			['trains', answers.stance === 'freely' ? 'standing' : answers.stance],
			['balance', answers.balance],
			['down to the floor', answers.floor],
			['pregnancy', answers.pregnantWeek === null ? null : `week ${answers.pregnantWeek} on ${answers.on}`],
			['birth', answers.birthWeeks === null ? null : `${answers.birthWeeks} weeks before ${answers.on}`],
			...answers.hurts.map(({ place, how }) => [place, HOW[how]]),
			['elsewhere', answers.hurtsElsewhere],
			['used to training', answers.active ? 'yes' : 'no']
		].filter((fact): fact is [string, string] => fact[1] !== null)
	);
	const yes = $derived(SCREEN_QUESTIONS.filter(({ key }) => answers.yes.includes(key)));
</script>

<section class="panel p-4" aria-labelledby="answers">
	<h2 id="answers">Health answers</h2>
	<p class="quiet mb-1 text-sm">{name} sees that you looked. This is no diagnosis.</p>
	<dl class="grid grid-cols-[max-content_minmax(0,1fr)] gap-x-4 gap-y-0.5 text-sm">
		{#each facts as [what, says] (what)}<dt class="quiet">{what}</dt>
			<dd>{says}</dd>{/each}
	</dl>
	{#if yes.length > 0}
		<h3 class="mt-2">Answered with yes</h3>
		<ul class="list-disc pl-5 text-sm">
			{#each yes as { key, asks } (key)}<li>{asks}</li>{/each}
		</ul>
	{/if}
	{#if screening.reasons.length > 0}
		<h3 class="mt-2">Ask first because of</h3>
		<ul class="text-sm">
			{#each screening.reasons as reason (reason.key)}<li>
					{reason.text}: {reason.ask} <span class="quiet">({reason.source})</span>
				</li>{/each}
		</ul>
	{/if}
</section>
