<script lang="ts">
	import type { LayoutProps } from './$types';
	let { children }: LayoutProps = $props();
</script>

<div class="mx-auto max-w-xl px-4 pt-3 pb-24 text-[17px]">{@render children()}</div>
