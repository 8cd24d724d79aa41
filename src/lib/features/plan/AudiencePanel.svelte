<script lang="ts">
	import { AT_HOME, ITEMS, type Item } from '$core/exercise';
	import { adviceFor, CONDITIONS, limitsOf } from '$core/kit';
	import { LEVELS, type Audience, type Level } from '$core/people';
	import { capital } from '$core/text/words';
	import type { PlanEditor } from './plan-editor.svelte';

	/** Whom the plan is made for: level, equipment, what to mind. */
	let { editor }: { editor: PlanEditor } = $props();
	const audience = $derived(editor.plan.audience);
	const THINGS: Item[] = ITEMS.filter((item) => !AT_HOME.has(item));

	const assume = (next: Partial<Audience>) =>
		editor.change({ ...editor.plan, audience: { ...audience, ...next } });
	/** A list after a box was checked or unchecked. */
	const withOrWithout = <T,>(
		list: readonly T[],
		one: T,
		event: Event & { currentTarget: HTMLInputElement }
	): T[] => (event.currentTarget.checked ? [...list, one] : list.filter((other) => other !== one));
</script>

<section class="panel p-4" aria-labelledby="audience">
	<h2 id="audience" class="mb-2">Made for</h2>
	<div class="flex flex-wrap items-end gap-x-4 gap-y-2 text-sm">
		<label
			>Level
			<select
				class="select select-sm flex w-44"
				value={audience.level}
				onchange={(event) => assume({ level: event.currentTarget.value as Level })}
			>
				{#each LEVELS as level (level)}<option>{level}</option>{/each}
			</select></label
		>
		<label
			>Heaviest load at hand, kg
			<input
				type="number"
				min="1"
				class="input input-sm flex w-24"
				placeholder="any"
				value={audience.heaviestKg}
				onchange={(event) => {
					const value = event.currentTarget.valueAsNumber;
					assume({ heaviestKg: value > 0 ? value : null });
				}}
			/></label
		>
	</div>
	<fieldset class="mt-2 text-sm">
		<legend class="mb-1">Equipment (chair and wall are assumed)</legend>
		<div class="flex flex-wrap gap-x-4 gap-y-1">
			{#each THINGS as item (item)}
				<label class="flex items-center gap-1.5"
					><input
						type="checkbox"
						class="checkbox checkbox-xs"
						checked={audience.items.includes(item)}
						onchange={(event) => assume({ items: withOrWithout(audience.items, item, event) })}
					/>{item}</label
				>
			{/each}
		</div>
	</fieldset>
	<fieldset class="mt-2 text-sm">
		<legend class="mb-1">What to mind</legend>
		<p class="text-muted mb-1 text-xs">
			Tick what applies to the group as a whole: checks and proposals in Build and Plan keep to it. What
			applies to one person goes on that person’s page.
		</p>
		<div class="flex flex-wrap gap-x-4 gap-y-1">
			{#each CONDITIONS as condition (condition)}
				<label class="flex items-center gap-1.5"
					><input
						type="checkbox"
						class="checkbox checkbox-xs"
						checked={audience.conditions.includes(condition)}
						onchange={(event) => assume({ conditions: withOrWithout(audience.conditions, condition, event) })}
					/>{condition}</label
				>
			{/each}
		</div>
		{#each audience.conditions as condition (condition)}
			<p class="remark remark-info mt-2">
				<b>{capital(condition)}</b>: {limitsOf(condition).join(', ')}{limitsOf(condition).length > 0
					? '. '
					: ''}{adviceFor(condition).join(' ')}
			</p>
		{/each}
		{#if audience.conditions.length > 0}
			<p class="text-muted mt-2 text-xs">
				These are the usual cautions, common practice and ACOG Committee Opinion 804 for pregnancy. They don’t
				stand in for a doctor, midwife or physiotherapist.
			</p>
		{/if}
	</fieldset>
</section>
