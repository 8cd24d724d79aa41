<script lang="ts">
	import { formatSessionText, LIMITS, parseSessionText, type Session } from '$core/session';
	import Asked from './Asked.svelte';
	import { counted } from '$lib/format';
	import { workshop } from './workshop';

	/** The whole session as text: to read, to copy, to paste over. Faults are named with their line. */
	let {
		session,
		pasted = '',
		ontake,
		onclose
	}: {
		session: Session;
		pasted?: string;
		ontake: (session: Session, add: boolean, name: string | null) => void;
		onclose: () => void;
	} = $props();
	/** Rows of what lines became. */
	const MOST_SHOWN = 100;
	const shop = workshop();
	// svelte-ignore state_referenced_locally
	const adding = pasted !== '';
	// svelte-ignore state_referenced_locally
	let text = $state(pasted || formatSessionText(session, shop()));
	const lines = $derived(text.split(/\r\n|\r|\n/));
	/** Lines of pasted text that are left out, by what stands in them: what is edited is looked at again. */
	let leftOut = $state<readonly string[]>([]);
	const isOut = (at: readonly number[]) => at.every((line) => leftOut.includes(lines[line - 1] ?? ''));
	const whole = $derived(parseSessionText(text, shop(), 'ask', adding));
	const read = $derived(
		leftOut.length === 0
			? whole
			: parseSessionText(
					lines.map((line) => (leftOut.includes(line) ? '' : line)).join('\n'),
					shop(),
					'ask',
					adding
				)
	);
	/** Lines of what was not understood: they are not added, and do not keep the others from it. */
	const faulty = $derived(new Set(read.faults.map(({ line }) => line)).size);
	const blocks = $derived(read.session.blocks.length);
	function toggle(at: readonly number[]) {
		const own = at.map((line) => lines[line - 1] ?? '');
		leftOut = isOut(at) ? leftOut.filter((line) => !own.includes(line)) : [...leftOut, ...own];
	}
</script>

<section class="panel mb-4 px-4 py-3" aria-labelledby="text">
	<div class="mb-2 flex flex-wrap items-center gap-3">
		<h2 id="text">{adding ? 'Pasted lines' : 'As text'}</h2>
		<span class="quiet text-sm"
			>one block a line, or as you would write it down: headings, bullets, A1 A2; also note:, link:, setup 20
			s:, repeat 3 times, rest 30: … end repeat, recovery:</span
		>
		<span class="ml-auto flex gap-2">
			<button
				type="button"
				class="btn btn-sm btn-primary"
				disabled={blocks === 0 ||
					(!adding && faulty > 0) ||
					(adding && session.blocks.length + blocks > LIMITS.blocks)}
				onclick={() => ontake(read.session, adding, read.name)}
				>{adding
					? `Add ${counted(blocks, 'block')}${faulty > 0 ? `, leave out ${counted(faulty, 'line')}` : ''}`
					: 'Use this text'}</button
			>
			<button type="button" class="btn btn-ghost btn-sm font-normal" onclick={onclose}>Close</button>
		</span>
	</div>
	<textarea
		class="textarea clock w-full text-[13px]"
		rows={Math.min(18, Math.max(6, lines.length + 1))}
		spellcheck="false"
		wrap="off"
		aria-label="The session as text"
		bind:value={text}></textarea>
	{#if adding}
		<table class="sheet mt-2 text-sm">
			<caption class="sr-only">What each line became</caption>
			<thead><tr><th>Add</th><th>Line</th><th>What it became</th></tr></thead>
			<tbody>
				{#each whole.became.slice(0, MOST_SHOWN) as one (one.lines.join())}
					{@const out = isOut(one.lines)}
					<tr class={[(out || one.isFaulty) && 'quiet']}>
						<td
							><input
								type="checkbox"
								class="checkbox checkbox-sm"
								aria-label="Add line {one.lines.join(', ')}"
								checked={!out && !one.isFaulty}
								disabled={one.isFaulty}
								onchange={() => toggle(one.lines)}
							/></td
						>
						<td class="clock max-w-80 truncate text-[13px]"
							>{one.lines.map((line) => lines[line - 1]?.trim()).join(' / ')}</td
						>
						<td class={[one.isFaulty && 'attention', out && 'line-through']}
							>{one.words}{one.isFaulty ? ': see below' : ''}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if whole.became.length > MOST_SHOWN}<p class="quiet text-sm">
				and {whole.became.length - MOST_SHOWN} more
			</p>{/if}
	{/if}
	<ul class="mt-2 text-sm" aria-live="polite">
		{#each read.faults.slice(0, 20) as fault, i (i)}
			{@const line = lines[fault.line - 1] ?? ''}
			<li class="mb-1">
				<span class="quiet">line {fault.line}</span>
				<Asked {line} {fault} ontake={(next) => (text = lines.with(fault.line - 1, next).join('\n'))} />
			</li>
		{/each}
		{#each read.notes as note (`${note.line}${note.message}`)}<li class="attention">
				line {note.line}: {note.message}
			</li>{/each}
		{#if read.faults.length > 20}<li class="quiet">and {read.faults.length - 20} more</li>{/if}
	</ul>
</section>
