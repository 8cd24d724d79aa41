<script lang="ts">
	import type { DayState } from '$core/day';
	import { markText, PLATE } from './marks';
	import PlateShape from './PlateShape.svelte';

	let {
		state,
		credit,
		pain = false,
		scale = 1
	}: { state: DayState; credit: number; pain?: boolean; scale?: number } = $props();
	const text = $derived(markText(state, credit, pain));
</script>

<svg
	role="img"
	aria-label={text}
	width={PLATE.width * scale}
	height={PLATE.height * scale}
	viewBox="0 0 {PLATE.width} {PLATE.height}"
	class="inline-block shrink-0"
>
	<title>{text}</title>
	<PlateShape {state} {credit} {pain} />
</svg>
