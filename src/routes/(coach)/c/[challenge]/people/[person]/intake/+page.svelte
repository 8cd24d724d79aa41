<script lang="ts">
	import { enhance } from '$app/forms';
	import Intake from '$lib/features/intake/Intake.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const back = $derived(`/c/${data.challenge.id}/people/${data.person.id}`);
	/** Whether health answers are shown too: the questions begin anew with them, once. */
	const all = $derived(Boolean(form?.sections));
</script>

<svelte:head><title>Answers of {data.person.name}</title></svelte:head>
<p class="mb-2 text-sm"><a class="link-quiet" href={back}>{data.person.name}</a></p>
{#if data.person.answered && !all}
	<form
		method="post"
		action="?/look"
		use:enhance
		class="remark mb-4 flex flex-wrap items-center gap-3 text-sm"
	>
		What was said of body and health is not shown here.
		<button class="btn btn-sm btn-outline">Show it, to correct it</button>
		<span class="quiet">They see that you looked.</span>
	</form>
{/if}
<div class="max-w-xl text-[17px]">
	{#key all}<Intake
			sections={form?.sections ?? data.sections}
			zones={data.zones}
			zone={data.person.zone}
			now={data.now}
			url="{back}/intake/answers"
			keptAs="coach.{data.person.id}{all ? '.all' : ''}"
			forName={data.person.name.split(' ')[0] ?? data.person.name}
			done={back}
		/>{/key}
</div>
