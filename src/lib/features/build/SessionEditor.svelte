<script lang="ts">
	import { ASSUMED_BODY_MASS, energyOf } from '$core/body';
	import { balanceOf, checkSession, type Group } from '$core/analysis';
	import { readIn } from '$core/kit';
	import type { Audience } from '$core/people';
	import {
		KIT_PRESETS,
		SCALE_LEVELS,
		PRESET_KITS,
		scaleSession,
		type KitPreset,
		type ScaleLevel
	} from '$core/substitution';
	import {
		addBlock,
		addSession,
		compileSession,
		haveReady,
		sessionFaults,
		type Block,
		type Session
	} from '$core/session';
	import { counted } from '$lib/format';
	import { ExerciseSearch } from '$lib/features/build/exercise-search';
	import DraftKeeper from '$lib/ui/DraftKeeper.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import { workshop } from './workshop';
	import Totals from '$lib/ui/Totals.svelte';
	import BalancePanel from './BalancePanel.svelte';
	import NotesPanel from './NotesPanel.svelte';
	import BlockList from './BlockList.svelte';
	import ChecksPanel from './ChecksPanel.svelte';
	import { Editor, isSessionState, type Panel } from './editor.svelte';
	import FitPanel from './FitPanel.svelte';
	import LineInput from './LineInput.svelte';
	import PickBlock from './PickBlock.svelte';
	import SaveBar from './SaveBar.svelte';
	import TextPanel from './TextPanel.svelte';
	import Timeline from './Timeline.svelte';
	import VersionsPanel from './VersionsPanel.svelte';

	interface Props {
		session: { id: string; name: string; tags: string[]; version: number; body: Session } | null;
		versions: { version: number; savedAt: number; seconds: number }[];
		/** Where it is sent, over all challenges. */
		used: { challengeId: string; challenge: string; day: number; version: number }[];
		/** Base address of the Build place. */
		base: string;
		coachId: string;
		budgetMinutes: number;
		group: Group | null;
		/** Whom the challenge is made for. */
		audience: Audience;
		zone: string;
		answer: {
			message?: string;
			faults?: { field: string; message: string }[];
			version?: number;
			moved?: number;
		} | null;
	}
	let { session, versions, used, base, coachId, budgetMinutes, group, audience, zone, answer }: Props =
		$props();
	const shop = workshop();
	const search = $derived(new ExerciseSearch(shop().library));

	// The page is made anew for each saved version: what is edited here begins from it once.
	// svelte-ignore state_referenced_locally
	const editor = new Editor({
		name: session?.name ?? '',
		tags: session?.tags ?? [],
		session: session?.body ?? { blocks: [] }
	});
	let panel = $state<Panel>(null);
	let keeper = $state.raw<{ forget: () => void } | null>(null);
	let keeps = $state(true);
	let pasted = $state('');
	let level = $state<ScaleLevel>('base');
	let kit = $state<KitPreset>('as planned');
	let pointed = $state<number | null>(null);

	// Everything shown is worked out from the session at each keystroke.
	const draft = $derived(editor.session);
	const timeline = $derived(compileSession(draft, shop()));
	const faults = $derived(draft.blocks.length === 0 ? [] : sessionFaults(draft, shop()));
	const balance = $derived(balanceOf(draft, shop(), timeline));
	const findings = $derived(
		checkSession(draft, shop(), { budgetMinutes, group, audience, timeline, balance })
	);
	const scaled = $derived(
		level === 'base' && kit === 'as planned' ? null : scaleSession(draft, level, PRESET_KITS[kit], shop())
	);
	const shown = $derived(scaled?.session ?? draft);
	const shownTimeline = $derived(scaled ? compileSession(shown, shop()) : timeline);

	function takeText(read: Session, add: boolean, name: string | null) {
		editor.change(add ? addSession(draft, read) : read);
		if (name && !editor.name.trim()) editor.rename(name);
		panel = null;
		pasted = '';
	}
	function saved() {
		keeper?.forget();
		editor.settle();
	}
</script>

<SaveBar
	{editor}
	{session}
	days={used.length}
	sound={faults.length === 0}
	{keeps}
	{base}
	{budgetMinutes}
	bind:panel
	onsaved={saved}
/>
<DraftKeeper
	bind:this={keeper}
	bind:keeps
	history={editor}
	of={{ coachId, kind: 'session', id: session?.id ?? 'new' }}
	version={session?.version ?? 0}
	reads={isSessionState}
	{zone}
/>
{#if answer?.message}
	<div class="remark remark-attention mb-3" role="alert">
		<p class="font-semibold">{answer.message}</p>
		{#each answer.faults ?? [] as fault (fault.field + fault.message)}<p class="text-sm">
				{fault.field}: {fault.message}
			</p>{/each}
	</div>
{:else if answer?.version && !editor.changed}
	<p class="remark mb-3" role="status">
		Version {answer.version} is saved. {counted(answer.moved ?? 0, 'day')} ahead {answer.moved === 1
			? 'sends'
			: 'send'} it; released days keep theirs; lay it on one anew to send it there.
	</p>
{/if}

<section class="panel mb-4 px-4 pt-3 pb-2" aria-label="Timeline">
	<Totals totals={shownTimeline.totals} {budgetMinutes} />
	{#if draft.blocks.length > 0}<div class="mt-1">
			<Timeline session={shown} timeline={shownTimeline} {budgetMinutes} />
		</div>{/if}
</section>
{#if panel === 'fit'}<FitPanel
		session={draft}
		minutes={budgetMinutes}
		ontake={(fitted: Session) => {
			editor.change(fitted);
			panel = null;
		}}
		onclose={() => (panel = null)}
	/>{/if}
{#if panel === 'text' || panel === 'paste'}<TextPanel
		session={draft}
		{pasted}
		ontake={takeText}
		onclose={() => {
			panel = null;
			pasted = '';
		}}
	/>{/if}

<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_19rem]">
	<div>
		{#if draft.blocks.length > 0}
			<div
				class="mb-2 flex flex-wrap items-center gap-3 text-sm"
				role="group"
				aria-label="See the session as"
			>
				<span class="quiet">Preview as</span>
				<select class="select select-sm w-28" aria-label="Level" bind:value={level}
					>{#each SCALE_LEVELS as one (one)}<option>{one}</option>{/each}</select
				>
				<span class="quiet">with</span>
				<select class="select select-sm w-36" aria-label="Equipment" bind:value={kit}
					>{#each KIT_PRESETS as one (one)}<option>{one}</option>{/each}</select
				>
				{#if scaled}<span class="quiet"
						>{counted(scaled.changes.length, 'exercise')} changed{scaled.stuck.length > 0
							? `, ${scaled.stuck.length} without another form`
							: ''}.</span
					>
					<button
						type="button"
						class="link-quiet"
						onclick={() => {
							level = 'base';
							kit = 'as planned';
						}}>Back to editing</button
					>{/if}
			</div>
		{/if}
		<BlockList {editor} timeline={shownTimeline} {faults} {scaled} {pointed} {search} />
		<div class="mt-2.5 flex flex-col gap-2.5">
			{#if draft.blocks.length === 0}<Empty
					says="Nothing in it yet. Type a block below, paste several lines, or pick one."
				/>{/if}
			{#if !scaled}
				<LineInput
					{search}
					ontake={(block: Block) => editor.change(addBlock(draft, block))}
					onpastelines={(text: string) => {
						pasted = text;
						panel = 'paste';
					}}
				/>
				<PickBlock {search} onpick={(block: Block) => editor.change(addBlock(draft, block))} />
			{/if}
		</div>
		<NotesPanel
			session={draft}
			tags={editor.tags}
			onchange={(next: Session, what: string) => editor.change(next, what)}
			ontag={(tags: string[]) => editor.tag(tags)}
		/>
	</div>

	<div class="flex flex-col gap-4">
		<ChecksPanel
			session={draft}
			{faults}
			findings={readIn(findings, shop().units)}
			ontake={(next: Session) => editor.change(next)}
			onfit={() => (panel = 'fit')}
			onpoint={(block: number | null) => (pointed = block)}
		/>
		{#if draft.blocks.length > 0}<BalancePanel
				{balance}
				ready={readIn(haveReady(draft, shop()), shop().units)}
				kcal={energyOf(draft, timeline, ASSUMED_BODY_MASS)}
			/>{/if}
		{#if session}
			<VersionsPanel at="{base}/{session.id}" {versions} {used} {zone} />
		{/if}
	</div>
</div>
