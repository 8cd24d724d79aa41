<script lang="ts">
	import Intake from '$lib/features/intake/Intake.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const back = $derived(`/c/${data.challenge.id}/people/${data.person.id}`);
</script>

<svelte:head><title>Answers of {data.person.name}</title></svelte:head>
<p class="mb-2 text-sm"><a class="link-quiet" href={back}>{data.person.name}</a></p>
<div class="max-w-xl text-[17px]">
	<Intake
		sections={data.sections}
		zones={data.zones}
		zone={data.person.zone}
		now={data.now}
		url="{back}/intake/answers"
		keptAs="coach.{data.person.id}"
		forName={data.person.name.split(' ')[0] ?? data.person.name}
		done={back}
	/>
</div>
