<script lang="ts">
	import { weekdayOf } from '$core/calendar';
	import { KIND_TEXT } from '$lib/ui/marks';
	import { counted, dayText, percent, WEEKDAYS } from '$lib/format';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const sheet = $derived(data.sheet);
	const base = $derived(`/c/${data.challenge.id}/plan`);
	const names = $derived(
		Array.from({ length: 7 }, (_, i) => WEEKDAYS[(weekdayOf(sheet.startsOn) - 1 + i) % 7] ?? '')
	);
	/** The steps of a week that there is room for; all of them are in Progression. */
	const ROOM = 8;
</script>

<svelte:head><title>Plan to print · {sheet.name}</title></svelte:head>
<div class="wide-page">
	{#if data.challenge.role !== 'viewer'}<p class="mb-1 print:hidden">
			<a class="link-quiet" href="{base}/export">Calendar, print and export</a>
		</p>{/if}
	<div class="mb-2 flex flex-wrap items-baseline gap-3">
		<h1>{sheet.name}</h1>
		<span class="quiet text-sm"
			>{dayText(sheet.startsOn)} to {dayText(sheet.endsOn)} · {counted(sheet.days, 'day')}, {sheet.works} with work
			· up to {sheet.budgetMinutes} min</span
		>
		<span class="ml-auto flex gap-2 print:hidden">
			<button type="button" class="btn btn-sm btn-outline" onclick={() => print()}>Print</button>
			<a class="btn btn-sm btn-primary" href="{base}/sheet.pdf" download>PDF</a>
		</span>
	</div>
	<p class="mb-2 text-sm">Goal: {sheet.goal}</p>
	<div
		class={[
			'overflow-x-auto print:overflow-visible',
			sheet.weeks.length > 9
				? 'print:[zoom:0.6]'
				: sheet.weeks.length > 6
					? 'print:[zoom:0.8]'
					: sheet.weeks.length > 4 && 'print:[zoom:0.9]'
		]}
	>
		<table class="w-full min-w-[56rem] table-fixed border-collapse text-[12px] leading-tight">
			<thead>
				<tr class="quiet text-left"
					><th class="w-20"></th>{#each names as name (name)}<th class="px-1.5 py-0.5" scope="col">{name}</th
						>{/each}</tr
				>
			</thead>
			<tbody>
				{#each sheet.weeks as week (week.week)}
					<tr class="break-inside-avoid align-top">
						<th class="border-base-300 border px-1.5 py-1 text-left" scope="row">
							Week {week.week}<br /><span class="quiet font-normal"
								>{week.minutes} min{#if week.light}<br />lighter{/if}</span
							>
						</th>
						{#each week.days as day (day.day)}
							<td class={['border-base-300 border px-1.5 py-1', day.kind === 'rest' && 'bg-base-200']}>
								<b>Day {day.day}</b> <span class="quiet">{dayText(day.date).slice(4)}</span>
								<span class={day.kind === 'rest' ? 'quiet' : 'text-primary font-semibold'}
									>{KIND_TEXT[day.kind]}</span
								>
								{#if day.cancelled}<br /><i>cancelled: {day.cancelled}</i>
								{:else if day.session}
									<br /><b>{day.session}</b><br />
									<span class="quiet">{day.minutes} min, effort {day.effort}</span>
									<span
										class="bg-primary mt-0.5 block h-[3px]"
										style:width={percent(day.load).replace(' ', '')}
										aria-hidden="true"
									></span>
								{/if}
								{#if day.halfway}<b class="block">halfway</b>{/if}
								{#if day.tests.length > 0}<span class="block">tests: {day.tests.join(', ')}</span>{/if}
							</td>
						{/each}
						{#each Array.from({ length: 7 - week.days.length }, (_, i) => i) as empty (empty)}<td></td>{/each}
					</tr>
					{#if week.steps.length > 0}
						<tr
							><td class="quiet border-base-300 border px-1.5">new</td><td
								colspan="7"
								class="quiet border-base-300 border px-1.5 py-0.5"
								>{week.steps.slice(0, ROOM).join(' · ')}{week.steps.length > ROOM
									? ` · and ${week.steps.length - ROOM} more`
									: ''}</td
							></tr
						>
					{/if}
				{/each}
			</tbody>
		</table>
	</div>
	<div class="mt-4 grid gap-6 text-[13px] break-before-page md:grid-cols-2 print:grid-cols-2">
		<section aria-labelledby="sessions">
			<h2 id="sessions">Sessions</h2>
			{#if sheet.sessions.length === 0}<p class="quiet">There are no sessions in the plan yet.</p>{/if}
			<ul>
				{#each sheet.sessions as session (session.name)}
					<li class="py-0.5">
						<b>{session.name}</b>
						<span class="quiet"
							>{session.minutes[0] === session.minutes[1]
								? session.minutes[0]
								: `${session.minutes[0]} to ${session.minutes[1]}`} min, {counted(
								session.times,
								'time'
							)}</span
						><br />{session.exercises.join(', ')}
					</li>
				{/each}
			</ul>
		</section>
		<div class="flex flex-col gap-4">
			{#each [['Tests', sheet.tests], ['Progression', sheet.rules]] as const as [title, lines] (title)}
				{#if lines.length > 0}<section aria-label={title}>
						<h2>{title}</h2>
						<ul class="list-inside list-disc">
							{#each lines as line (line)}<li>{line}</li>{/each}
						</ul>
					</section>{/if}
			{/each}
		</div>
	</div>
</div>
