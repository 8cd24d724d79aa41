<script lang="ts">
	import { callListOf, type Course } from '$core/run';
	import { clockText } from '$core/session';

	/** What is called in the session, with the place of now in view. */
	let { course, step }: { course: Course; step: number } = $props();
	const blocks = $derived(callListOf(course));
	let list = $state<HTMLElement>();
	$effect(() => {
		list?.querySelector(`[data-step="${step}"]`)?.scrollIntoView({ block: 'center' });
	});
</script>

<div bind:this={list}>
	{#each blocks as { title, calls }, b (b)}
		<h3 class="mt-2">{title}</h3>
		<ol>
			{#each calls as call, i (i)}<li
					data-step={call.step}
					aria-current={call.step === step ? 'step' : undefined}
					class={[
						'flex gap-2 rounded px-1 py-0.5',
						call.step === step && 'bg-primary text-primary-content font-semibold',
						call.step < step && 'quiet'
					]}
				>
					<span class="clock w-11 shrink-0 text-right">{clockText(call.at)}</span><span>{call.say}</span>
				</li>{/each}
		</ol>
	{/each}
</div>
