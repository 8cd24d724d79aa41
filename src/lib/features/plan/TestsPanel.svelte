<script lang="ts">
	import { enhance } from '$app/forms';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { MEASURES, newBenchmark, PLAN_LIMITS, type Benchmark, type Measure } from '$core/plan';
	import { workshop } from '$lib/features/build/workshop';
	import type { PlanEditor } from './plan-editor.svelte';

	/** What is measured, and when. */
	let { editor, built }: { editor: PlanEditor; built: string | null } = $props();
	const shop = workshop();
	const id = $props.id();
	const plan = $derived(editor.plan);
	const ASKS: Record<Measure, ('seconds' | 'reps' | 'kg')[]> = {
		'most reps in a time': ['seconds', 'kg'],
		'longest hold': ['kg'],
		'time for fixed work': ['reps', 'kg'],
		'load and reps': ['reps'],
		'carry distance': ['seconds', 'kg']
	};
	const UNIT = { seconds: 's', reps: 'reps', kg: 'kg' };
	const daysOf = (id: string) =>
		editor.resolved.days.filter((day) => day.tests.includes(id)).map((day) => day.day);

	const put = (id: string, next: Partial<Benchmark>) =>
		editor.change(
			{ ...plan, tests: plan.tests.map((test) => (test.id === id ? { ...test, ...next } : test)) },
			`test ${id} ${Object.keys(next).join()}`
		);
	const add = () =>
		editor.change({
			...plan,
			tests: [
				...plan.tests,
				newBenchmark(crypto.randomUUID(), `Test ${plan.tests.length + 1}`, 'Push-up', 'most reps in a time', {
					seconds: 60
				})
			]
		});
	function takeOut(id: string) {
		editor.change({
			...plan,
			tests: plan.tests.filter((test) => test.id !== id),
			days: plan.days.map((day) =>
				day.tests.includes(id) ? { ...day, tests: day.tests.filter((other) => other !== id) } : day
			)
		});
	}
</script>

<datalist id="{id}-names"
	>{#each shop().library.names() as name (name)}<option value={name}></option>{/each}</datalist
>
<section class="panel p-4" aria-labelledby="tests">
	<div class="mb-2 flex items-baseline">
		<h2 id="tests">Tests</h2>
		<button
			type="button"
			class="btn btn-outline btn-sm ml-auto"
			disabled={plan.tests.length >= PLAN_LIMITS.tests}
			onclick={add}>Add a test</button
		>
		<form method="post" action="?/testSession" class="ml-2" use:enhance>
			<input type="hidden" name="tests" value={JSON.stringify(plan.tests)} />
			<button class="btn btn-outline btn-sm" disabled={plan.tests.length === 0}>Build their session</button>
		</form>
	</div>
	{#if built}<p class="remark mb-2 text-sm" role="status">
			“{built}” takes them one after the other, warm and with rest before each. Lay it on the days of the
			tests.
		</p>{/if}
	{#if plan.tests.length === 0}<p class="quiet text-sm">
			Nothing is measured yet. A test is taken in the first days, half-way and at the end, always under the
			same conditions.
		</p>{/if}
	<ul class="flex flex-col gap-3 text-sm">
		{#each plan.tests as test (test.id)}
			<li class="border-base-300 flex flex-wrap items-end gap-x-3 gap-y-1.5 border-t pt-2">
				<label
					>Name <input
						class="input input-sm flex w-44"
						maxlength={PLAN_LIMITS.testName}
						value={test.name}
						onchange={(event) => put(test.id, { name: event.currentTarget.value.trim() || test.name })}
					/></label
				>
				<label
					>Exercise <input
						class="input input-sm flex w-44"
						list="{id}-names"
						maxlength="80"
						value={test.exercise}
						onchange={(event) =>
							put(test.id, { exercise: event.currentTarget.value.trim() || test.exercise })}
					/></label
				>
				<label
					>Measured
					<select
						class="select select-sm flex w-48"
						value={test.measure}
						onchange={(event) => put(test.id, { measure: event.currentTarget.value as Measure })}
					>
						{#each MEASURES as measure (measure)}<option>{measure}</option>{/each}
					</select></label
				>
				{#each ASKS[test.measure] as key (key)}
					<label class="flex items-center gap-1"
						><input
							type="number"
							min="1"
							class="input input-sm w-20"
							aria-label="{UNIT[key]} of {test.name}"
							value={test[key]}
							onchange={(event) => {
								const value = event.currentTarget.valueAsNumber;
								put(test.id, { [key]: value > 0 ? value : null });
							}}
						/>{UNIT[key]}</label
					>
				{/each}
				<span class="quiet"
					>{daysOf(test.id).length > 0 ? `on day ${daysOf(test.id).join(', ')}` : 'on no day yet'}</span
				>
				<button
					type="button"
					class="btn btn-ghost btn-xs ml-auto"
					aria-label="Take out {test.name}"
					onclick={() => takeOut(test.id)}><Trash2 size={14} aria-hidden="true" /></button
				>
			</li>
		{/each}
	</ul>
</section>
