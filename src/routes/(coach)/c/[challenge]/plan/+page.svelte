<script lang="ts">
	import { enhance } from '$app/forms';
	import { DAY_KINDS } from '$core/release';
	import Empty from '$lib/components/Empty.svelte';
	import { KIND_TEXT } from '$lib/components/marks';
	import { counted, dayAndTimeIn, dayText, longDayText, minutesText, placeOf, timeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const weeks = $derived(
		Array.from({ length: data.challenge.weeks }, (_, w) => data.plan.slice(w * 7, w * 7 + 7))
	);
	const longest = $derived(
		Math.max(data.challenge.budgetMinutes * 60, ...data.plan.map((day) => day.seconds ?? 0))
	);
	const shown = $derived(data.plan[data.shown - 1]);
	const bare = $derived(
		data.plan.filter((day) => day.kind !== 'rest' && day.kind !== 'active-rest' && !day.sessionId)
	);

	let chosen = $state<number[]>([]);
	let kind = $state<string>('train');
	let session = $state('');

	function choose(day: number, on: boolean) {
		chosen = on ? [...chosen, day].sort((a, b) => a - b) : chosen.filter((d) => d !== day);
		const only = chosen.length === 1 ? data.plan[(chosen[0] ?? 1) - 1] : undefined;
		if (only) {
			kind = only.kind;
			session = only.sessionId ?? '';
		}
	}
	const weekMinutes = (week: typeof data.plan) => week.reduce((sum, day) => sum + (day.seconds ?? 0), 0);
	const over = (seconds: number | null) => (seconds ?? 0) > data.challenge.budgetMinutes * 60;
</script>

<svelte:head><title>Plan · {data.challenge.name}</title></svelte:head>
<div class="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
	<h1>Plan</h1>
	<p class="quiet">
		{data.challenge.weeks} weeks, {counted(data.plan.filter((day) => day.kind !== 'rest').length, 'day')} with work,
		budget {data.challenge.budgetMinutes} min a session
	</p>
	{#if bare.length > 0}
		<p class="attention font-semibold">
			{counted(bare.length, 'training day')} without a session, the first on day {bare[0]?.day}
		</p>
	{/if}
</div>

<div class="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_18rem]">
	<div>
		{#if data.sessions.length === 0}
			<div class="mb-3">
				<Empty says="There is no session to lay yet."
					><a class="link-quiet" href="{base}/build/new">Build the first one</a></Empty
				>
			</div>
		{/if}
		<div class="flex flex-col gap-1.5">
			<div
				class="quiet grid grid-cols-[4.5rem_repeat(7,minmax(0,1fr))] gap-1.5 text-[13px]"
				aria-hidden="true"
			>
				<span></span>
				{#each data.plan.slice(0, 7) as day (day.day)}<span class="pl-2">{dayText(day.date).slice(0, 3)}</span
					>{/each}
			</div>
			{#each weeks as week, w (w)}
				<section aria-label="Week {w + 1}" class="grid grid-cols-[4.5rem_repeat(7,minmax(0,1fr))] gap-1.5">
					<div class="pt-1 text-sm">
						<b>Week {w + 1}</b>
						<p class="quiet">{minutesText(weekMinutes(week))}</p>
					</div>
					{#each week as day (day.day)}
						<div
							class={[
								'relative flex min-h-[84px] flex-col rounded border px-2 py-1',
								day.kind === 'rest' ? 'border-base-300 border-dashed' : 'bg-base-100 border-base-300',
								day.day === data.shown && 'outline-base-content outline-2',
								chosen.includes(day.day) && '!border-primary bg-primary/10'
							]}
						>
							<div class="flex items-center justify-between text-[12px]">
								<a
									class="hover:underline"
									href="{base}/plan?day={day.day}"
									data-sveltekit-noscroll
									aria-label="Release of day {day.day}"
								>
									<b class="text-sm">{day.day}</b><span class="quiet pl-1">{dayText(day.date).slice(4)}</span>
								</a>
								<input
									type="checkbox"
									class="checkbox checkbox-xs"
									aria-label="Choose day {day.day}"
									checked={chosen.includes(day.day)}
									onchange={(event) => choose(day.day, event.currentTarget.checked)}
								/>
							</div>
							{#if day.kind === 'rest'}
								<p class="quiet m-auto text-sm">rest</p>
							{:else}
								<p class="mt-0.5 line-clamp-2 text-sm leading-tight font-semibold">
									{#if day.kind === 'test'}<span class="text-secondary pr-1" aria-hidden="true">◆</span
										>{/if}{day.session ?? ''}
									{#if !day.session}<span class="attention">no session</span>{/if}
								</p>
								<p class="quiet mt-auto truncate text-[12px]">
									{KIND_TEXT[day.kind]}{#if day.seconds}<span
											class={['pl-1', over(day.seconds) && 'font-bold']}
											style={over(day.seconds) ? 'color:var(--marigold-text)' : ''}
											>{minutesText(day.seconds)}</span
										>{/if}
								</p>
								<div class="bg-base-300 mt-1 h-1 overflow-hidden rounded" aria-hidden="true">
									<div
										class={[
											'h-full',
											day.kind === 'test' ? 'bg-secondary' : day.kind === 'cardio' ? 'bg-info' : 'bg-primary'
										]}
										style="width:{(100 * (day.seconds ?? 0)) / longest}%"
									></div>
								</div>
							{/if}
						</div>
					{/each}
				</section>
			{/each}
		</div>
		<p class="quiet mt-2 text-[13px]">
			The bar is the session’s length; minutes in marigold are over the budget of {data.challenge
				.budgetMinutes}. ◆ test day.
		</p>
	</div>

	<div class="flex flex-col gap-4 xl:sticky xl:top-3">
		<section class="panel p-4" aria-labelledby="lay">
			<h2 id="lay">Lay a session</h2>
			<p class="quiet mb-2 text-sm">
				{chosen.length === 0 ? 'Choose days with the boxes in the grid.' : `on day ${chosen.join(', ')}`}
			</p>
			<form
				method="post"
				action="?/lay"
				class="flex flex-col gap-2"
				use:enhance={() =>
					async ({ update, result }) => {
						await update({ reset: false });
						if (result.type === 'success') chosen = [];
					}}
			>
				{#each chosen as day (day)}<input type="hidden" name="day" value={day} />{/each}
				<label class="text-sm"
					>Kind of day
					<select name="kind" class="select select-sm w-full" bind:value={kind}>
						{#each DAY_KINDS as k (k)}<option value={k}>{KIND_TEXT[k]}</option>{/each}
					</select>
				</label>
				{#if kind !== 'rest'}
					<label class="text-sm"
						>Session
						<select name="session" class="select select-sm w-full" bind:value={session}>
							<option value="">none yet</option>
							{#each data.sessions as s (s.id)}<option value={s.id}>{s.name}, {minutesText(s.seconds)}</option
								>{/each}
						</select>
					</label>
				{/if}
				{#if chosen.some((day) => day <= data.groupDay)}
					<p class="remark remark-attention text-sm">
						Days up to {Math.min(data.groupDay, data.plan.length)} are out. Who has done one keeps what they did;
						the others get what you lay now.
					</p>
				{/if}
				{#if form?.message}<p class="field-fault" role="alert">{form.message}</p>{/if}
				<button class="btn btn-primary btn-sm" disabled={chosen.length === 0}
					>{chosen.length > 1 ? `Lay on ${chosen.length} days` : 'Lay on this day'}</button
				>
			</form>
		</section>

		{#if shown}
			<section class="panel p-4" aria-labelledby="release">
				<h2 id="release">Release of day {shown.day}</h2>
				<p class="quiet text-sm">{longDayText(shown.date)}</p>
				{#if shown.kind === 'rest'}
					<p class="mt-2 text-sm">Rest: nothing is sent.</p>
				{:else}
					<p class="mt-2">
						{#if shown.sessionId}
							<a class="link-quiet" href="{base}/build/{shown.sessionId}">{shown.session}</a>, version {shown.version},
							{minutesText(shown.seconds ?? 0)}
						{:else}<span class="attention font-semibold">Nothing to send yet: no session on this day.</span
							>{/if}
					</p>
					{#if data.openings.length === 0}
						<p class="quiet mt-2 text-sm">Nobody is enrolled for it.</p>
					{:else}
						<table class="sheet mt-2 text-sm">
							<thead><tr><th>{placeOf(data.coach.zone)}</th><th>for whom it is then</th></tr></thead>
							<tbody>
								{#each data.openings as opening (opening.opens)}
									<tr>
										<td class="align-top whitespace-nowrap"
											><span class={['clock', opening.opens <= data.asOf && 'quiet']}
												>{dayAndTimeIn(data.coach.zone, opening.opens).slice(4)}</span
											></td
										>
										<td>
											{#each opening.people as person, i (person.id)}{i > 0 ? ', ' : ''}<span
													title="{timeIn(person.zone, opening.opens)} in {placeOf(person.zone)}"
													>{person.name.split(' ')[0]}</span
												>{/each}
											<span class="quiet"
												>{timeIn(opening.people[0]?.zone ?? 'UTC', opening.opens)}
												{[...new Set(opening.people.map((p) => placeOf(p.zone)))].join(', ')}</span
											>
										</td>
									</tr>
								{/each}
							</tbody>
						</table>
					{/if}
				{/if}
			</section>
		{/if}
	</div>
</div>
