<script lang="ts">
	import { clockText, formatOf, targetText, type Segment, type Session, type Timeline } from '$core/session';

	/**
	 * A session to scale: work solid, rest hatched, rounds bracketed within their block, clock ticks below. Any moment
	 * can be read with the pointer or with the arrow keys; zoom for what is too narrow.
	 */
	interface Props {
		session: Session;
		timeline: Timeline;
		budgetMinutes?: number | null;
	}
	let { session, timeline, budgetMinutes = null }: Props = $props();
	const id = $props.id();

	const HEIGHT = 34;
	const ZOOMS = [1, 2, 4, 8, 16];
	let zoom = $state(1);
	let moment = $state<number | null>(null);
	let scroller = $state<HTMLDivElement>();

	const total = $derived(Math.max(1, timeline.totals.duration));
	const span = $derived(Math.max(total, (budgetMinutes ?? 0) * 60));
	const share = (seconds: number): number => (100 * seconds) / span;
	const at = (seconds: number): string => `${share(seconds)}%`;
	const STEPS = [10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600, 7200];
	const step = $derived(STEPS.find((s) => span / s <= 10 * zoom) ?? 7200);
	const ticks = $derived(Array.from({ length: Math.floor(span / step) + 1 }, (_, i) => i * step));

	/** One path for each kind, in thousandths of the whole: a thousand segments are no more nodes than ten. */
	function pathOf(segments: Segment[]): string {
		return segments
			.map(
				(s) =>
					`M${((1000 * s.start) / span).toFixed(3)} 0h${Math.max(0.05, (1000 * s.seconds) / span - 0.35).toFixed(3)}v${HEIGHT}h-${Math.max(0.05, (1000 * s.seconds) / span - 0.35).toFixed(3)}z`
			)
			.join('');
	}
	const role = (s: Segment) => session.blocks[s.block]?.role;
	const paths = $derived({
		main: pathOf(
			timeline.segments.filter(
				(s) => s.kind === 'work' && role(s) === 'main' && !s.hard && s.side !== 'right'
			)
		),
		right: pathOf(
			timeline.segments.filter((s) => s.kind === 'work' && role(s) === 'main' && s.side === 'right')
		),
		hard: pathOf(timeline.segments.filter((s) => s.kind === 'work' && s.hard)),
		ease: pathOf(timeline.segments.filter((s) => s.kind === 'work' && role(s) !== 'main')),
		setup: pathOf(timeline.segments.filter((s) => s.kind === 'setup'))
	});

	/** Rounds within each going through of a block, where there are several. */
	const rounds = $derived.by(() => {
		const found: { start: number; end: number; round: number }[] = [];
		let last: { block: number; pass: number; round: number } | null = null;
		for (const s of timeline.segments) {
			if (s.kind === 'transition' || s.kind === 'setup') continue;
			const open = found.at(-1);
			if (open && last?.block === s.block && last.pass === s.pass && last.round === s.round) {
				if (s.kind === 'work') open.end = s.start + s.seconds;
			} else if (s.kind === 'work') {
				found.push({ start: s.start, end: s.start + s.seconds, round: s.round });
				last = s;
			}
		}
		return found;
	});

	const indexAt = $derived.by(() => {
		if (moment === null) return -1;
		const at = moment;
		let [low, high] = [0, timeline.segments.length - 1];
		while (low < high) {
			const middle = (low + high + 1) >> 1;
			if ((timeline.segments[middle]?.start ?? 0) <= at) low = middle;
			else high = middle - 1;
		}
		return low;
	});
	const KINDS: Record<string, string> = {
		rest: 'rest',
		'round-rest': 'rest between rounds',
		'side-change': 'change of side',
		'station-change': 'change of station',
		setup: 'set-up',
		transition: 'on to the next block'
	};

	function words(index: number): string {
		const s = timeline.segments[index];
		if (!s) return '';
		const block = session.blocks[s.block];
		const part = s.part === null ? undefined : block?.parts[s.part];
		const where = block ? (block.role === 'main' ? formatOf(block).label : block.role) : '';
		const last = timeline.segments
			.filter((x) => x.block === s.block)
			.reduce((most, x) => Math.max(most, x.round), 1);
		const round = last > 1 ? `, round ${s.round} of ${last}` : '';
		const pass = s.pass > 1 ? `, time ${s.pass} through` : '';
		const side = s.side === 'both' ? '' : `, ${s.side} side`;
		const much =
			part && s.reps > 0 ? `, ${targetText({ target: { kind: 'reps', reps: s.reps }, perSide: false })}` : '';
		const what =
			s.kind === 'work'
				? `${part?.exercise ?? ''}${side}${much}`
				: s.kind === 'setup'
					? (block?.setup?.text ?? 'load change')
					: (KINDS[s.kind] ?? '');
		return `${clockText(s.start)} to ${clockText(s.start + s.seconds)} · ${what} · ${Math.round(s.seconds)} s · ${where}${round}${pass}`;
	}
	const reading = $derived(indexAt >= 0 ? words(indexAt) : '');

	function onpointermove(event: PointerEvent) {
		const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
		moment = Math.min(total - 0.01, Math.max(0, ((event.clientX - box.left) / box.width) * span));
	}
	function go(index: number) {
		const s = timeline.segments[Math.min(timeline.segments.length - 1, Math.max(0, index))];
		if (!s) return;
		moment = s.start;
		if (scroller && zoom > 1)
			scroller.scrollLeft = (share(s.start) / 100) * scroller.scrollWidth - scroller.clientWidth / 2;
	}
	function onkeydown(event: KeyboardEvent) {
		const by: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, PageDown: 10, PageUp: -10 };
		if (event.key in by) go((indexAt < 0 ? -1 : indexAt) + (by[event.key] ?? 0));
		else if (event.key === 'Home') go(0);
		else if (event.key === 'End') go(timeline.segments.length - 1);
		else if (event.key === '+' || event.key === '=') zoomBy(1);
		else if (event.key === '-') zoomBy(-1);
		else if (event.key === 'Escape') moment = null;
		else return;
		event.preventDefault();
	}
	function zoomBy(by: number) {
		zoom = ZOOMS[Math.min(ZOOMS.length - 1, Math.max(0, ZOOMS.indexOf(zoom) + by))] ?? 1;
	}
</script>

<div class="flex items-end gap-3">
	<p id="{id}-reading" class="clock min-h-5 min-w-0 flex-1 truncate text-[13px]" aria-live="off">
		{#if reading}{reading}{:else}<span class="quiet font-sans"
				>Point at a moment, or use the arrow keys, to read it.</span
			>{/if}
	</p>
	<ul class="quiet hidden gap-3 text-[12px] md:flex" aria-label="What the timeline shows">
		<li class="flex items-center gap-1"><span class="swatch main"></span>work</li>
		<li class="flex items-center gap-1"><span class="swatch right"></span>other side</li>
		{#if timeline.totals.hard > 0}<li class="flex items-center gap-1">
				<span class="swatch hard"></span>hard
			</li>{/if}
		<li class="flex items-center gap-1"><span class="swatch ease"></span>warm-up, cool-down</li>
		<li class="flex items-center gap-1"><span class="swatch hatched"></span>rest</li>
	</ul>
	<div class="flex items-center gap-1" role="group" aria-label="Zoom">
		<button
			type="button"
			class="btn btn-ghost btn-xs"
			onclick={() => zoomBy(-1)}
			disabled={zoom === 1}
			aria-label="Zoom out">−</button
		>
		<span class="clock w-7 text-center text-[13px]">{zoom}×</span>
		<button
			type="button"
			class="btn btn-ghost btn-xs"
			onclick={() => zoomBy(1)}
			disabled={zoom === ZOOMS.at(-1)}
			aria-label="Zoom in">+</button
		>
	</div>
</div>
<div bind:this={scroller} class="overflow-x-auto overflow-y-hidden">
	<div
		class="bar relative pt-7 pb-6"
		style="width:{100 * zoom}%"
		role="slider"
		tabindex="0"
		aria-label="Moment of the session"
		aria-valuemin="0"
		aria-valuemax={Math.round(total)}
		aria-valuenow={Math.round(moment ?? 0)}
		aria-valuetext={reading || `${clockText(total)} in all, ${timeline.blocks.length} blocks`}
		{onkeydown}
		{onpointermove}
		onpointerleave={() => (moment = null)}
	>
		{#each timeline.spans as block, b (b)}
			{@const info = session.blocks[block.block]}
			<div
				class="border-base-content/60 absolute top-[18px] h-1.5 border-x border-t"
				style="left:{at(block.start)};width:{at(block.seconds)}"
			></div>
			{#if info && (block.seconds / span) * zoom > 0.06}
				<div
					class="quiet absolute top-0 truncate text-[12px]"
					style="left:{at(block.start)};max-width:{at(block.seconds)}"
				>
					{clockText(block.start)}
					{info.role === 'main' ? formatOf(info).label : info.role}{block.of > 1
						? ` ${block.pass}/${block.of}`
						: ''}
				</div>
			{/if}
		{/each}
		<svg
			class="hatched bg-base-200 block w-full rounded-[2px]"
			height={HEIGHT}
			viewBox="0 0 1000 {HEIGHT}"
			preserveAspectRatio="none"
			aria-hidden="true"
		>
			<path class="main" d={paths.main} />
			<path class="right" d={paths.right} />
			<path class="hard" d={paths.hard} />
			<path class="ease" d={paths.ease} />
			<path class="setup" d={paths.setup} />
		</svg>
		{#each rounds as r, i (i)}
			{#if ((r.end - r.start) / span) * zoom > 0.004}<div
					class="border-base-content/40 absolute h-1 border-x border-b"
					style="top:{28 + HEIGHT}px;left:{at(r.start)};width:{at(r.end - r.start)}"
				></div>{/if}
		{/each}
		{#if span > total}<div
				class="bg-base-100 absolute right-0"
				style="top:28px;height:{HEIGHT}px;left:{at(total)}"
			></div>{/if}
		{#if budgetMinutes}
			<div
				class="border-warning absolute border-l-2"
				style="top:22px;height:{HEIGHT + 12}px;left:calc({at(budgetMinutes * 60)} - 2px)"
				title="budget {budgetMinutes} min"
			></div>
		{/if}
		{#if moment !== null && indexAt >= 0}
			{@const s = timeline.segments[indexAt]}
			{#if s}<div
					class="border-base-content pointer-events-none absolute border-2"
					style="top:26px;height:{HEIGHT + 4}px;left:{at(s.start)};width:max(4px, {at(s.seconds)})"
				></div>{/if}
		{/if}
		{#each ticks as tick (tick)}
			<div class="absolute bottom-0 text-[12px]" style="left:{at(tick)}">
				<span class="border-base-content/50 quiet clock block border-l pt-1 pl-1 leading-3"
					>{clockText(tick)}</span
				>
			</div>
		{/each}
	</div>
</div>

<style>
	.bar:focus-visible {
		outline-offset: -2px;
	}
	path.main,
	.swatch.main {
		fill: var(--color-primary);
		background: var(--color-primary);
	}
	path.right,
	.swatch.right {
		fill: color-mix(in srgb, var(--color-primary) 62%, var(--color-base-100));
		background: color-mix(in srgb, var(--color-primary) 62%, var(--color-base-100));
	}
	path.hard,
	.swatch.hard {
		fill: var(--color-secondary);
		background: var(--color-secondary);
	}
	path.ease,
	.swatch.ease {
		fill: color-mix(in srgb, var(--color-warning) 38%, var(--color-base-100));
		background: color-mix(in srgb, var(--color-warning) 38%, var(--color-base-100));
	}
	path.setup {
		fill: var(--color-info);
	}
	.swatch {
		display: inline-block;
		width: 14px;
		height: 10px;
		border-radius: 2px;
	}
</style>
