<script lang="ts">
	import { page } from '$app/state';
	import TopBar from '$lib/features/challenge/TopBar.svelte';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
</script>

<TopBar
	coach={data.coach}
	challenges={data.challenges}
	now={data.now}
	stand={page.data.stand ?? null}
	demo={data.demo}
/>
{@render children()}
