<script lang="ts">
	/** A photograph or clip of an exercise with a mark in it; where it may be set, a press sets it. */
	interface Props {
		src: string;
		type: string;
		alt: string;
		mark: { x: number; y: number; at: number } | null;
		onmark?: (mark: { x: number; y: number; at: number }) => void;
	}
	let { src, type, alt, mark, onmark }: Props = $props();
	let video: HTMLVideoElement | undefined = $state();
	let now = $state(0);
	const isClip = $derived(type.startsWith('video/'));
	/** In a clip a mark is seen around its second. */
	const isSeen = $derived(mark !== null && (!isClip || Math.abs(now - mark.at) < 0.75));

	function press(event: MouseEvent & { currentTarget: HTMLElement }) {
		const box = event.currentTarget.getBoundingClientRect();
		onmark?.({
			x: (event.clientX - box.left) / box.width,
			y: (event.clientY - box.top) / box.height,
			at: video?.currentTime ?? 0
		});
	}
</script>

{#snippet dot()}
	{#if mark && isSeen}<span
			class="border-error pointer-events-none absolute -mt-5 -ml-5 h-10 w-10 rounded-full border-4"
			style:left="{mark.x * 100}%"
			style:top="{mark.y * 100}%"
			data-mark
		></span>{/if}
{/snippet}

<div class="relative inline-block max-w-full">
	{#if isClip}
		<!-- svelte-ignore a11y_media_has_caption -->
		<video
			bind:this={video}
			bind:currentTime={now}
			class="max-h-[60vh] max-w-full rounded"
			{src}
			controls={onmark === undefined}
			preload="metadata"
			aria-label={alt}
		></video>
	{:else}
		<img class="max-h-[60vh] max-w-full rounded" {src} {alt} />
	{/if}
	{#if onmark}<button class="absolute inset-0 cursor-crosshair" aria-label="Mark a place" onclick={press}
		></button>{/if}
	{@render dot()}
</div>
{#if isClip && onmark}
	<div class="mt-1 flex items-center gap-2 text-sm">
		<button
			class="btn btn-outline btn-xs"
			onclick={() => void (video?.paused ? video.play() : video?.pause())}>Play or pause</button
		>
		<button class="btn btn-outline btn-xs" onclick={() => (now = Math.max(0, now - 0.1))}>0.1 s back</button>
		<button class="btn btn-outline btn-xs" onclick={() => (now += 0.1)}>0.1 s on</button>
		<span class="clock">{now.toFixed(1)} s</span>
	</div>
{:else if isClip && mark}
	<button class="link-quiet min-h-11 text-sm" onclick={() => (now = mark.at)}
		>To the mark, at {mark.at.toFixed(1)} s</button
	>
{/if}
