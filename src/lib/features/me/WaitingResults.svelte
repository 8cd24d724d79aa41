<script lang="ts">
	import { onMount } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { deviceQueue } from '$lib/offline/queue.svelte';
	import { counted } from '$lib/format';
	import RefusedResult from './RefusedResult.svelte';

	/** Results that wait on this device, or that were not taken. */
	let { enrolment, zone }: { enrolment: string; zone: string } = $props();
	const { waiting: all, refused } = $derived(deviceQueue.left);
	const waiting = $derived(all.filter(({ kind }) => kind === 'check-in'));
	const stopped = $derived(all.some(({ kind }) => kind === 'stop'));
	const days = $derived(
		new Intl.ListFormat('en').format([...new Set(waiting.map(({ day }) => `day ${day}`))])
	);
	onMount(() => deviceQueue.watch(enrolment, () => void invalidateAll()));
</script>

{#if stopped}
	<p class="remark remark-safety mb-3" role="status">
		<b>You had to stop, and your coach doesn’t know yet.</b> It is sent as soon as there is a connection.
		Don’t train until a doctor or midwife has looked at it.
		<a class="link-quiet" href="/me/stop">If you need help now</a>
	</p>
{/if}
{#if waiting.length > 0}
	<p class="remark remark-attention mb-3" role="status">
		<b>{counted(waiting.length, 'result')} waiting on this device</b> ({days}). Sent as soon as there is a
		connection, and counted from when you did {waiting.length === 1
			? 'it'
			: 'them'}.{#if !deviceQueue.lasting}
			This device keeps nothing: leave this page open.{/if}
	</p>
{/if}
{#each refused as one (one.id)}<RefusedResult {one} {enrolment} {zone} />{/each}
