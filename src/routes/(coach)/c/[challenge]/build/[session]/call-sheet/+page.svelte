<script lang="ts">
	import { clockText } from '$core/session';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const sheet = $derived(data.sheet);
	const base = $derived(`/c/${data.challenge.id}/build/${sheet.id}`);
	const strong = (kinds: string[]) =>
		kinds.some((kind) => ['start', 'change-side', 'last-round', 'round'].includes(kind));
</script>

<svelte:head><title>Call sheet · {sheet.name}</title></svelte:head>
<p class="mb-1 print:hidden"><a class="link-quiet" href={base}>{sheet.name}</a></p>
<div class="mb-3 flex flex-wrap items-baseline gap-3">
	<h1>Call sheet: {sheet.name}</h1>
	<span class="quiet text-sm"
		>version {sheet.version}, <span class="clock">{clockText(sheet.seconds)}</span> in all</span
	>
	<span class="ml-auto flex gap-2 print:hidden">
		<a class="btn btn-sm btn-outline" href="?countdowns={data.countdowns ? 'no' : 'yes'}"
			>{data.countdowns ? 'Without countdowns' : 'With countdowns'}</a
		>
		<button type="button" class="btn btn-sm btn-outline" onclick={() => print()}>Print</button>
		<a
			class="btn btn-sm btn-primary"
			href="{base}/call-sheet.pdf{data.countdowns ? '' : '?countdowns=no'}"
			download>PDF</a
		>
	</span>
</div>
<p class="mb-3"><b>Have ready:</b> {sheet.ready.join('; ')}. <span class="quiet">{sheet.counting}</span></p>
{#if sheet.note}<p class="remark mb-3 whitespace-pre-line">{sheet.note}</p>{/if}
<div class="columns-1 gap-5 xl:columns-2 print:columns-2">
	{#each sheet.blocks as block, b (b)}
		<section class="panel mb-4 break-inside-avoid-page" aria-label={block.title}>
			<header class="border-base-300 flex items-baseline justify-between border-b px-3 py-1.5">
				<h2>{block.title}</h2>
				<span class="clock text-sm"
					><span class="quiet">{clockText(block.start)} +</span> <b>{clockText(block.seconds)}</b></span
				>
			</header>
			{#if block.setup}<p class="border-base-300 bg-base-200 border-b px-3 py-1 text-sm">
					<b>Set up</b>
					{block.setup}
				</p>{/if}
			<ol>
				{#each block.calls as call, c (c)}
					<li class="border-base-300 grid grid-cols-[4rem_1fr] gap-2 border-b px-3 py-1 last:border-b-0">
						<span class="clock quiet">{clockText(call.time)}</span>
						<span
							>{#if strong(call.kinds)}<b>{call.say}</b>{:else}{call.say}{/if}{#if call.detail}<span
									class="quiet block text-[13px]">{call.detail}</span
								>{/if}</span
						>
					</li>
				{/each}
			</ol>
		</section>
	{/each}
</div>
{#if sheet.recovery.length > 0}<p><b>Recovery after the session:</b> {sheet.recovery.join('; ')}</p>{/if}
