<script lang="ts">
	import SessionEditor from '$lib/features/build/SessionEditor.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
</script>

<svelte:head><title>{data.session?.name ?? 'New session'} · Build</title></svelte:head>
{#key data.session?.versionId ?? 'new'}
	<SessionEditor
		session={data.session}
		versions={data.versions}
		used={data.used}
		base="/c/{data.challenge.id}/build"
		coachId={data.coach.id}
		budgetMinutes={data.challenge.budgetMinutes}
		group={data.group}
		audience={data.audience}
		zone={data.coach.zone}
		answer={form}
	/>
{/key}
