<script lang="ts">
	import { clockText } from '$core/session';
	import { dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}/build/${data.session.id}`);
	const comparison = $derived(data.comparison);
	const differs = $derived(
		comparison.blocks.filter((block) => block.kind !== 'same').length + comparison.notes.length
	);
	const WORDS = { same: 'as before', changed: 'changed', gone: 'taken out', new: 'put in' };
	const more = (after: number, before: number) =>
		after === before
			? 'the same'
			: `${clockText(Math.abs(after - before))} ${after > before ? 'longer' : 'shorter'}`;
</script>

<svelte:head><title>What changed · {data.session.name}</title></svelte:head>
<p class="mb-1"><a class="link-quiet" href={base}>{data.session.name}</a></p>
<div class="mb-3 flex flex-wrap items-baseline gap-3">
	<h1>Version {data.before.version} beside {data.after.version}</h1>
	<form method="get" class="ml-auto flex items-center gap-2 text-sm">
		<label
			>from <select class="select select-sm w-20" name="from"
				>{#each data.versions as v (v)}<option selected={v === data.before.version}>{v}</option
					>{/each}</select
			></label
		>
		<label
			>to <select class="select select-sm w-20" name="to"
				>{#each data.versions as v (v)}<option selected={v === data.after.version}>{v}</option>{/each}</select
			></label
		>
		<button class="btn btn-sm btn-outline">Compare</button>
	</form>
</div>
<dl class="panel mb-4 flex flex-wrap gap-x-8 gap-y-1 px-4 py-3">
	<div>
		<dt class="quiet text-[13px]">Length</dt>
		<dd>
			<span class="clock"
				>{clockText(comparison.duration.before)} → <b>{clockText(comparison.duration.after)}</b></span
			> <span class="quiet text-sm">{more(comparison.duration.after, comparison.duration.before)}</span>
		</dd>
	</div>
	<div>
		<dt class="quiet text-[13px]">Work</dt>
		<dd>
			<span class="clock"
				>{clockText(comparison.work.before)} → <b>{clockText(comparison.work.after)}</b></span
			> <span class="quiet text-sm">{more(comparison.work.after, comparison.work.before)}</span>
		</dd>
	</div>
	<div>
		<dt class="quiet text-[13px]">Repetitions</dt>
		<dd class="clock">{comparison.repetitions.before} → <b>{comparison.repetitions.after}</b></dd>
	</div>
</dl>
{#if differs === 0}<p class="quiet mb-3">Nothing differs.</p>{/if}
<table class="sheet panel">
	<thead
		><tr
			><th class="w-24 pl-4">Block</th><th
				>Version {data.before.version}, {dayAndTimeIn(data.coach.zone, data.before.savedAt)}</th
			><th>Version {data.after.version}, {dayAndTimeIn(data.coach.zone, data.after.savedAt)}</th></tr
		></thead
	>
	<tbody>
		{#each comparison.blocks as block, i (i)}
			<tr class={block.kind === 'same' ? 'quiet' : ''}>
				<td class="pl-4 align-top text-sm"
					>{#if block.kind === 'same'}{WORDS.same}{:else}<b>{WORDS[block.kind]}</b>{/if}</td
				>
				<td class="clock align-top text-[13px]"
					>{#if block.kind === 'gone'}<del>{block.before?.line}</del>{:else}{block.before?.line ??
							''}{/if}</td
				>
				<td class="clock align-top text-[13px]"
					>{#if block.kind === 'new'}<ins class="no-underline"><b>{block.after?.line}</b></ins
						>{:else if block.kind === 'changed'}<b>{block.after?.line}</b>{:else}{block.after?.line ??
							''}{/if}</td
				>
			</tr>
		{/each}
	</tbody>
</table>
{#each comparison.notes as line (line)}<p class="mt-2 text-sm">{line}</p>{/each}
