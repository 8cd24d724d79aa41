<script lang="ts">
	import {
		insertDays,
		PLAN_LIMITS,
		putDays,
		removeDays,
		type PlannedDay,
		type PlanSession
	} from '$core/plan';
	import { DAY_KINDS, dateOfDay } from '$core/calendar';
	import { counted, dayText } from '$lib/format';
	import { KIND_TEXT } from '$lib/ui/marks';
	import type { PlanEditor } from './plan-editor.svelte';

	/** What lies on the chosen days: kind, session, effort, tests; and days put in or taken out. */
	interface Props {
		editor: PlanEditor;
		sessions: readonly PlanSession[];
		startsOn: string;
		releasedTo: number;
		people: number;
		base: string;
	}
	let { editor, sessions, startsOn, releasedTo, people, base }: Props = $props();
	const chosen = $derived(editor.chosen.filter((day) => day <= editor.plan.days.length));
	const days = $derived(chosen.flatMap((day) => editor.resolved.days[day - 1] ?? []));
	const first = $derived(days[0]);
	/** What all chosen days have in common; null where they differ. */
	const common = <K extends keyof PlannedDay>(key: K): PlannedDay[K] | null =>
		first && days.every((day) => day[key] === first[key]) ? first[key] : null;
	const put = (change: Parameters<typeof putDays>[2], what = '') =>
		editor.change(putDays(editor.plan, chosen, change), what);
	const released = $derived(chosen.filter((day) => day <= releasedTo));
	const listed = $derived(
		[...sessions].sort(
			(a, b) => Number(a.of !== undefined) - Number(b.of !== undefined) || a.name.localeCompare(b.name)
		)
	);
	const who = $derived(people > 0 ? `, for ${counted(people, 'person', 'people')}` : '');

	function layKind(kind: PlannedDay['kind']) {
		put({ kind });
	}
	function laySession(key: string) {
		const kind = common('kind');
		put({ session: key || null, ...(key && kind === 'rest' && { kind: 'train' as const }) });
	}
	function toggleTest(id: string, on: boolean) {
		let plan = editor.plan;
		for (const { day, tests } of days)
			plan = putDays(plan, [day], {
				tests: on ? [...new Set([...tests, id])] : tests.filter((other) => other !== id)
			});
		editor.change(plan);
	}
</script>

<section class="panel p-4" aria-labelledby="day-panel" id="chosen">
	<h2 id="day-panel">
		{chosen.length === 0 ? 'Chosen days' : chosen.length === 1 ? `Day ${chosen[0]}` : `${chosen.length} days`}
		{#if first && chosen.length === 1}<span class="quiet text-sm font-normal"
				>{dayText(dateOfDay(first.day, startsOn))}, week {first.week}</span
			>{/if}
	</h2>
	{#if !first}
		<p class="quiet text-sm">
			Choose a day in the grid; with Shift or Ctrl several. Drag a day to swap it, with Ctrl to copy it.
		</p>
	{:else}
		{#if chosen.length > 1}<p class="quiet mb-1 text-sm">day {chosen.join(', ')}</p>{/if}
		<div class="flex flex-col gap-2 text-sm">
			<div class="flex gap-2">
				<label class="grow"
					>Kind of day
					<select
						class="select select-sm flex w-full"
						value={common('kind') ?? ''}
						onchange={(event) => layKind(event.currentTarget.value as PlannedDay['kind'])}
					>
						{#if common('kind') === null}<option value="">various</option>{/if}
						{#each DAY_KINDS as kind (kind)}<option value={kind}>{KIND_TEXT[kind]}</option>{/each}
					</select></label
				>
				<label class="w-24"
					>Effort, 0–10
					<input
						type="number"
						class="input input-sm w-full"
						min="0"
						max="10"
						step="0.5"
						placeholder={String(first.expected)}
						value={common('effort')}
						disabled={days.every((day) => !day.prescribed)}
						onchange={(event) => {
							const value = event.currentTarget.valueAsNumber;
							put({ effort: Number.isFinite(value) ? Math.min(10, Math.max(0, value)) : null });
						}}
					/></label
				>
			</div>
			<label
				>Session
				<select
					class="select select-sm flex w-full"
					value={days.every((day) => day.session === first.session) ? (first.session ?? '') : 'various'}
					onchange={(event) => laySession(event.currentTarget.value)}
				>
					{#if !days.every((day) => day.session === first.session)}<option value="various" disabled
							>various</option
						>{/if}
					<option value="">none</option>
					{#each listed as session (session.key)}<option value={session.key}>{session.name}</option>{/each}
				</select></label
			>
			{#if days.every((day) => day.session !== null)}
				{@const alike = days.every((day) => day.evening === first.evening)}
				<label
					>Second session, in the evening
					<select
						class="select select-sm flex w-full"
						value={alike ? (first.evening ?? '') : 'various'}
						onchange={(event) => put({ evening: event.currentTarget.value || null })}
					>
						{#if !alike}<option value="various" disabled>various</option>{/if}
						<option value="">none</option>
						{#each listed as session (session.key)}<option value={session.key}>{session.name}</option>{/each}
					</select></label
				>
			{/if}
			{#if chosen.length === 1 && first.prescribed}
				<p class="quiet text-[13px]">
					<b class="text-base-content">{Math.round(first.minutes)} min</b> × effort {first.expected} = load
					<b class="text-base-content">{Math.round(first.load)}</b>.
					<a class="link-quiet" href="{base}/build/{first.session?.split('@')[0]}">Open in Build</a
					>{#if first.evening},
						<a class="link-quiet" href="{base}/build/{first.evening.split('@')[0]}">open the evening’s</a
						>{/if}
				</p>
				{#if first.prescribed.changes.length > 0}
					<ul class="text-[13px]">
						{#each first.prescribed.changes as change, i (i)}
							<li>
								{change.part === null
									? `Block ${change.block + 1}`
									: (first.prescribed.session.blocks[change.block]?.parts[change.part]?.exercise ?? '')}: {change.what}
								<span class="clock">{change.from} → <b>{change.to}</b></span>
							</li>
						{/each}
					</ul>
				{/if}
			{/if}
			{#if editor.plan.tests.length > 0}
				<fieldset>
					<legend>Tests</legend>
					{#each editor.plan.tests as test (test.id)}
						<label class="flex items-center gap-2"
							><input
								type="checkbox"
								class="checkbox checkbox-xs"
								checked={days.every((day) => day.tests.includes(test.id))}
								onchange={(event) => toggleTest(test.id, event.currentTarget.checked)}
							/>{test.name}</label
						>
					{/each}
				</fieldset>
			{/if}
			{#if released.length > 0}
				<p class="remark remark-attention">
					{released.length === 1
						? `Day ${released[0]} is released`
						: `Days ${released.join(', ')} are released`}. Who has done one keeps what they did; the others
					get what is saved now.
				</p>
			{/if}
			<div class="border-base-300 flex flex-wrap gap-x-4 gap-y-1 border-t pt-2">
				<button
					type="button"
					class="link-quiet disabled:opacity-50"
					disabled={first.day <= releasedTo || editor.plan.days.length >= PLAN_LIMITS.days}
					title="Everything from day {first.day} on comes a day later{who}"
					onclick={() => editor.change(insertDays(editor.plan, first.day))}>Put a rest day before it</button
				>
				<button
					type="button"
					class="link-quiet disabled:opacity-50"
					disabled={released.length > 0 || chosen.length >= editor.plan.days.length}
					title="Everything after comes earlier{who}"
					onclick={() => {
						const plan = [...chosen].reverse().reduce((p, day) => removeDays(p, day), editor.plan);
						editor.chosen = [];
						editor.change(plan);
					}}>Take {chosen.length === 1 ? 'the day' : 'the days'} out</button
				>
			</div>
		</div>
	{/if}
</section>
