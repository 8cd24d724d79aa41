<script lang="ts">
	import { LEGEND, PLATE } from './marks';
	import PlateShape from './PlateShape.svelte';
</script>

<ul class="flex flex-wrap gap-x-6 gap-y-2 text-[13px]" aria-label="What the symbols mean">
	{#each LEGEND as mark (mark.text)}
		<li class="quiet flex items-center gap-1.5">
			<svg
				width={PLATE.width}
				height={PLATE.height}
				viewBox="0 0 {PLATE.width} {PLATE.height}"
				aria-hidden="true"
			>
				<PlateShape state={mark.state} credit={mark.credit} pain={mark.pain} />
			</svg>
			{mark.text}
		</li>
	{/each}
</ul>
