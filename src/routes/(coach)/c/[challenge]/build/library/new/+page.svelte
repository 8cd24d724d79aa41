<script lang="ts">
	import { workshop } from '$lib/features/build/workshop';
	import { inputOfExercise, type ExerciseInput } from '$contracts/exercise';
	import ExerciseForm from '$lib/features/build/ExerciseForm.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const shop = workshop();
	const base = $derived(`/c/${data.challenge.id}/build/library`);
	const like = $derived(data.like ? shop().library.find(data.like) : null);
	const start = $derived<Partial<ExerciseInput> | null>(
		like && {
			...inputOfExercise(like),
			name: `${like.name} of mine`,
			looksLike: like.looksLike ?? like.name
		}
	);
</script>

<svelte:head><title>New exercise · {data.challenge.name}</title></svelte:head>
<p class="mb-1"><a class="link-quiet" href={base}>Exercise library</a></p>
<h1 class="mb-3">New exercise</h1>
<ExerciseForm {start} answer={form} submit="Add it to the library" />
