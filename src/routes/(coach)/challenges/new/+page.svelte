<script lang="ts">
	import { dateIn } from '$core/calendar';
	import ChallengeForm from '$lib/features/challenge/ChallengeForm.svelte';
	import { TEMPLATES } from '$core/plan';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
</script>

<svelte:head><title>New challenge · Cadrex</title></svelte:head>
<main class="mx-auto max-w-6xl px-5 py-6">
	<h1 class="mb-4">New challenge</h1>
	<ChallengeForm
		today={dateIn(data.coach.zone, data.now)}
		form={data.form}
		zones={data.zones}
		submit="Make the challenge"
		templates={TEMPLATES}
	/>
</main>
