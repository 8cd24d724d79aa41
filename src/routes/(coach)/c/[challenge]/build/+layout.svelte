<script lang="ts">
	import { provideWorkshop, workshopOf } from '$lib/features/build/workshop';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
	const shop = $derived(workshopOf(data.own, data.house, data.coach.units));
	provideWorkshop(() => shop);
</script>

{@render children()}
