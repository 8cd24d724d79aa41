<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import Empty from '$lib/ui/Empty.svelte';
	import PlateStrip from '$lib/ui/PlateStrip.svelte';
	import { isTyping } from '$lib/ui/keys';
	import Incidents from '$lib/features/reach/Incidents.svelte';
	import ExcuseForm from '$lib/features/people/ExcuseForm.svelte';
	import ReachForm from '$lib/features/reach/ReachForm.svelte';
	import Thread from '$lib/features/reach/Thread.svelte';
	import WriteForm from '$lib/features/reach/WriteForm.svelte';
	import ReachParts from '$lib/features/reach/ReachParts.svelte';
	import ReachList from '$lib/features/reach/ReachList.svelte';
	import { effectWords, finishWords, reasonWords, WAY_TEXT } from '$lib/features/reach/reason-words';
	import { calledBy } from '$core/people';
	import { definitionOf, REASON_KINDS, REASON_TITLE, type Reason } from '$core/triage';
	import { counted, dayAndTimeIn, percent, placeOf, timeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const zone = $derived(data.coach.zone);
	const base = $derived(`/c/${data.challenge.id}`);
	const hrefOf = (id: string) => `${base}/reach?${data.back ? `day=${data.day}&` : ''}person=${id}`;
	const colour = ({ kind }: Reason) =>
		({
			safety: 'remark-safety',
			unanswered: '',
			retention: 'remark-attention',
			adaptation: '',
			praise: ''
		})[REASON_KINDS[kind]];
	const said = $derived(form && 'message' in form && form.message !== undefined ? form : null);
	/** What was refused: an excuse, a message, or what was noted. */
	const what = $derived(
		said === null
			? null
			: 'deciding' in said
				? 'decision'
				: 'excusing' in said && said.excusing
					? 'excuse'
					: 'writing' in said && said.writing !== undefined
						? 'message'
						: 'note'
	);
	/** People shown who are owed a good word. */
	const MOST_OWED = 8;
	let excusing = $state(false);

	// Answers are seen once they are on the screen.
	$effect(() => {
		const { shown, thread, back } = data;
		if (!shown || back || !thread.some(({ byCoach, readAt }) => !byCoach && readAt === null)) return;
		const body = new FormData();
		body.set('person', shown.id);
		void fetch('?/read', { method: 'POST', body, headers: { 'x-sveltekit-action': 'true' } }).catch(
			() => undefined
		);
	});

	function onkeydown(event: KeyboardEvent) {
		if (isTyping(event)) return;
		const to = event.key === 'n' ? data.next : event.key === 'p' ? data.previous : null;
		if (to) void goto(hrefOf(to), { noScroll: true, keepFocus: true });
		if (event.key === 'w') {
			event.preventDefault();
			document.querySelector<HTMLElement>('[data-write] :is([contenteditable], textarea)')?.focus();
		}
		if (event.key === 'x') {
			event.preventDefault();
			excusing = true;
		}
	}
</script>

{#snippet excuseForm(person: string)}
	{#key `${person} ${data.excuse?.from}`}
		<ExcuseForm
			{person}
			day={data.day}
			rail={data.rail}
			proposed={data.excuse}
			message={said && what === 'excuse' ? said.message : null}
			bind:open={excusing}
		/>
	{/key}
{/snippet}

<svelte:head><title>Reach out · {data.challenge.name}</title></svelte:head>
<svelte:window {onkeydown} />
<div class="mb-3 flex flex-wrap items-baseline gap-x-4">
	<h1>Reach out</h1>
	<p class="quiet">
		{data.count === 0
			? 'Nobody needs you right now'
			: `${counted(data.count, 'person needs', 'people need')} you`}, of {data.all}. The most urgent first.
	</p>
</div>

<ReachParts {base} part="people" />

{#if data.all === 0}
	<Empty says="Nobody is enrolled yet, so there is nobody to reach."
		><a class="link-quiet" href="{base}/people/import">Enrol people from a list</a></Empty
	>
{:else}
	<div class="grid items-start gap-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
		<nav aria-label="Who needs you" class="lg:max-h-[calc(100dvh-12rem)] lg:overflow-y-auto">
			{#if data.unanswered.length > 0}
				<h2 class="text-[15px]">Waiting for an answer</h2>
				<ul class="border-base-content/70 mb-4 border-t text-sm">
					{#each data.unanswered as { id, name, since, unseen } (id)}
						<li class="border-base-300 flex justify-between gap-2 border-b py-1.5">
							<a class="font-semibold hover:underline" href={hrefOf(id)}>{name}</a>
							<span class={unseen > 0 ? 'font-semibold' : 'quiet'}
								>{unseen > 0 ? counted(unseen, 'new message') : `since ${dayAndTimeIn(zone, since)}`}</span
							>
						</li>
					{/each}
				</ul>
			{/if}
			{#if data.count === 0}
				<Empty
					says="All done. New reasons come up here on their own; until then, praise somebody from the list below."
				/>
			{:else}
				<ReachList people={data.people} shown={data.shown?.id ?? null} href={hrefOf} />
				{#if data.count > data.people.length}<p class="quiet mt-2 text-sm">
						{data.count - data.people.length} more come up as these are dealt with.
					</p>{/if}
			{/if}
			<h2 class="mt-5 text-[15px]">Haven’t heard from you for longest</h2>
			<ul class="border-base-content/70 border-t text-sm">
				{#each data.unheard as { id, name, days } (id)}
					<li class="border-base-300 flex justify-between gap-2 border-b py-1.5">
						<a class="font-semibold hover:underline" href={hrefOf(id)}>{name}</a>
						<span class="quiet">{days === null ? 'never' : days === 0 ? 'today' : counted(days, 'day')}</span>
					</li>
				{/each}
			</ul>
			{#if data.owed.length > 0}
				<h2 class="mt-5 text-[15px]">All of their week, and no praise for a fortnight, {data.owed.length}</h2>
				<ul class="border-base-content/70 border-t text-sm">
					{#each data.owed.slice(0, MOST_OWED) as { id, name, due } (id)}
						<li class="border-base-300 flex justify-between gap-2 border-b py-1.5">
							<a class="font-semibold hover:underline" href={hrefOf(id)}>{name}</a>
							<span class="quiet">{counted(due, 'due day')}</span>
						</li>
					{/each}
				</ul>
			{/if}
		</nav>

		{#if data.shown}
			{@const one = data.shown}
			<section aria-labelledby="shown" class="panel p-4">
				<div class="flex flex-wrap items-start justify-between gap-4">
					<div>
						<h2 id="shown">
							<a class="hover:underline" href="{base}/people/{one.id}">{one.name}</a>
						</h2>
						<p class="quiet text-sm">
							{one.level}, {timeIn(one.zone, data.asOf)} in {placeOf(
								one.zone
							)}{#if one.adherence.rate !== null},
								{percent(one.adherence.rate)} of {counted(one.adherence.due, 'due day')} done{/if}
						</p>
					</div>
					<PlateStrip
						days={one.days}
						firstDay={one.firstShown}
						name="{one.name}, the last {one.days.length} days"
					/>
				</div>
				<p class="mt-2 text-sm">{finishWords(one.finish, data.finishFrom)}</p>

				<div class="mt-4 grid gap-6 xl:grid-cols-[minmax(0,1fr)_20rem]">
					<div class="flex flex-col gap-4">
						<div>
							<h3>Why</h3>
							{#if one.reasons.length === 0}<p class="quiet text-sm">
									No open reason. You can still write to them.
								</p>{/if}
							<ul class="flex flex-col gap-2">
								{#each one.reasons as reason (reason.kind)}
									<li class={['remark', colour(reason)]}>
										<p class="font-semibold">{REASON_TITLE[reason.kind]}</p>
										<p class="text-sm">{reasonWords(reason, zone, data.coach.units)}</p>
									</li>
								{/each}
							</ul>
							{#if one.answered.length > 0}
								<p class="quiet mt-2 text-sm">
									Dealt with: {one.answered.map(({ kind }) => REASON_TITLE[kind].toLowerCase()).join(', ')}.
								</p>
							{/if}
							{#if one.reasons.some(({ kind }) => kind === 'pain') && data.incidents.length === 0}
								<p class="mt-2 text-sm">
									Pain isn’t soreness. If it is sharp or lasts, they should see a doctor or physiotherapist;
									until then <a class="link-quiet" href="{base}/people/{one.id}">give them something else</a> in
									its place.
								</p>
							{/if}
						</div>
						{#if data.incidents.length > 0}
							<Incidents
								incidents={data.incidents}
								person={one.id}
								name={calledBy(one.name)}
								{zone}
								exercises={data.exercises}
								tomorrow={data.tomorrow}
								askAgainOn={data.askAgainOn}
								draft={data.draft}
								replyId={data.replyId}
								back={data.back}
								refused={said && 'deciding' in said
									? {
											incident: String(said.deciding),
											message: said.message ?? '',
											reply: 'reply' in said ? String(said.reply) : ''
										}
									: null}
							/>
						{/if}
						{#if data.reentry && !data.back}
							<section class="remark" aria-label="The way back">
								<p class="font-semibold">The way back after {counted(data.reentry.daysOff, 'day')}</p>
								<p class="text-sm">
									{data.reentry.steps
										.map(
											({ share, fromDay, toDay }) =>
												`${percent(share)} of the session on ${fromDay === toDay ? `day ${fromDay}` : `days ${fromDay} to ${toDay}`}`
										)
										.join(', ')}, then as planned.
								</p>
								<form method="post" action="?/ease" class="mt-1" use:enhance>
									<input type="hidden" name="person" value={one.id} />
									<button class="btn btn-outline btn-sm">Ease {calledBy(one.name)} back in</button>
								</form>
							</section>
						{/if}
						<div>
							<h3>Last check-ins</h3>
							{#if one.checkins.length === 0}<p class="quiet text-sm">No check-ins yet.</p>
							{:else}
								<table class="w-full text-sm">
									<thead>
										<tr class="quiet border-base-content/70 border-b text-left">
											<th class="py-1 pr-3 font-semibold" scope="col">Day</th>
											<th class="font-semibold" scope="col">Came in</th>
											<th class="pl-3 text-right font-semibold whitespace-nowrap" scope="col">Done</th>
											<th class="pl-3 text-right font-semibold whitespace-nowrap" scope="col">Effort</th>
											<th class="pl-3 text-right font-semibold whitespace-nowrap" scope="col">Energy</th>
											<th class="pl-3 text-right font-semibold whitespace-nowrap" scope="col">Mood</th>
										</tr>
									</thead>
									<tbody>
										{#each one.checkins as { day, at, credit, effort, energy, mood, hurts } (day)}
											<tr class="border-base-300 border-b">
												<td class="py-1">{day}</td>
												<td
													>{dayAndTimeIn(zone, at)}{#if hurts}<span class="block text-[13px]"
															>hurts: {hurts}</span
														>{/if}</td
												>
												<td class="pl-3 text-right whitespace-nowrap">{percent(credit)}</td>
												<td class="pl-3 text-right whitespace-nowrap"
													>{effort === null ? 'not said' : `${effort} of 10`}</td
												>
												<td class="pl-3 text-right whitespace-nowrap"
													>{energy === null ? 'not said' : `${energy} of 5`}</td
												>
												<td class="pl-3 text-right whitespace-nowrap"
													>{mood === null ? 'not said' : `${mood} of 5`}</td
												>
											</tr>
										{/each}
									</tbody>
								</table>
							{/if}
						</div>
						{#if data.thread.length > 0}
							<div>
								<h3 class="mb-1">Messages</h3>
								<Thread messages={data.thread} {zone} side="coach" me={data.coach.name} />
							</div>
						{/if}
					</div>

					<div>
						{#if data.back}
							<p class="quiet text-sm">
								You’re looking back. What you do about somebody is noted <a
									class="link-quiet"
									href="{base}/reach?person={one.id}">today</a
								>.
							</p>
						{:else}
							{#if form && 'excused' in form}<p class="mb-2 text-sm" role="status">
									Excused. Those days count for nothing.
								</p>{/if}
							{#if data.excuse}<div class="mb-4">{@render excuseForm(one.id)}</div>{/if}
							{#key one.id}
								<WriteForm
									person={one.id}
									name={calledBy(one.name)}
									next={data.next === one.id ? null : data.next}
									id={data.messageId}
									draft={data.draft}
									waiting={data.waiting}
									{zone}
									refused={said && what === 'message'
										? {
												message: said.message,
												writing: 'writing' in said ? String(said.writing) : '',
												typed: 'typed' in said ? String(said.typed) : ''
											}
										: null}
								/>
								<details class="border-base-300 mt-3 border-t pt-2" open={what === 'note'}>
									<summary class="cursor-pointer font-semibold">Something else, or not now</summary>
									<div class="mt-2">
										<ReachForm
											person={one.id}
											next={data.next === one.id ? null : data.next}
											first={one.reasons[0] ? definitionOf(one.reasons[0].kind).firstAction : 'talked'}
											tomorrow={data.tomorrow}
											latest={data.latest}
											refused={what === 'note' ? said : null}
										/>
									</div>
								</details>
							{/key}
							<p class="quiet mt-2 text-[13px]">
								Comes up again after {counted(data.againAfter, 'day')} if it is still so.
							</p>
							{#if !data.excuse}{@render excuseForm(one.id)}{/if}
							<ul class="border-base-300 mt-3 flex flex-wrap gap-x-4 gap-y-1 border-t pt-2 text-sm">
								<li>
									<a class="link-quiet" href="{base}/people/{one.id}?differ#differs">Adjust their sessions</a>
								</li>
								<li><a class="link-quiet" href="{base}/people/{one.id}/body">Measures and weeks</a></li>
								<li><a class="link-quiet" href="{base}/people/{one.id}/intake">Health answers</a></li>
							</ul>
						{/if}
						{#if one.reaches.length > 0}
							<h3 class="mt-5">What you did</h3>
							<ul class="border-base-content/70 border-t text-sm">
								{#each one.reaches as reach (reach.id)}
									<li class="border-base-300 border-b py-1.5">
										<p class="flex justify-between gap-2">
											<b>{WAY_TEXT[reach.way]}</b>
											<span class="quiet">{dayAndTimeIn(zone, reach.at)}</span>
										</p>
										<p class="quiet text-[13px]">
											{reach.by ?? 'somebody who has left'}{#if reach.reasons.length > 0}: {reach.reasons
													.map((kind) => REASON_TITLE[kind].toLowerCase())
													.join(', ')}{/if}{#if reach.until !== null}, until {dayAndTimeIn(
													zone,
													reach.until
												)}{/if}
										</p>
										{#if reach.note}<p>“{reach.note}”</p>{/if}
										<div class="flex justify-between gap-2">
											<p class="text-[13px]">{reach.way === 'later' ? '' : effectWords(reach, zone)}</p>
											{#if !data.back}
												<form method="post" action="?/remove" use:enhance>
													<input type="hidden" name="person" value={one.id} />
													<input type="hidden" name="id" value={reach.id} />
													<button class="link-quiet text-[13px]">Remove</button>
												</form>
											{/if}
										</div>
									</li>
								{/each}
							</ul>
						{/if}
					</div>
				</div>
			</section>
		{/if}
	</div>
{/if}
