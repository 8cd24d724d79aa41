<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { areaText } from '$core/health';
	import { INSTEAD_WHEN, LIMITS, limitsWhen, type Instead, type InsteadWhen, type Part } from '$core/session';
	import { substitute } from '$core/substitution';
	import { workshop } from './workshop';

	/** What may be done in place of an exercise: at will, or because something hurts. */
	let { part, onchange }: { part: Part; onchange: (part: Part) => void } = $props();
	const shop = workshop();
	const id = $props.id();
	const list = $derived(part.instead ?? []);
	const textOf = (when: InsteadWhen): string =>
		when === 'choice' ? 'at will' : `if the ${areaText(when)} hurts`;
	const free = $derived(
		INSTEAD_WHEN.filter((when) => when === 'choice' || !list.some((one) => one.when === when))
	);
	let wrong = $state<string | null>(null);

	function put(next: Instead[]) {
		const { instead: _before, ...bare } = part;
		onchange(next.length > 0 ? { ...bare, instead: next } : bare);
	}
	/** The nearest that fits, so that there is something to begin with. */
	function add(when: InsteadWhen) {
		const exercise = shop().library.find(part.exercise);
		const found =
			exercise && substitute(exercise, { kit: null, limits: limitsWhen(when) }, shop())?.exercise.name;
		const other = found && found !== part.exercise ? found : shop().library.easier(part.exercise)?.name;
		put([...list, { when, exercise: other ?? (part.exercise === 'Squat' ? 'Sit to chair' : 'Squat') }]);
	}
	function rename(i: number, typed: string) {
		const found = shop().library.find(typed);
		const exercise = found?.name ?? typed.trim();
		wrong = found ? null : `${typed.trim() || 'Nothing'} is not in your library`;
		if (found && found.name !== part.exercise)
			put(list.map((one, at) => (at === i ? { ...one, exercise } : one)));
	}
</script>

<div class="flex w-full flex-col gap-1.5">
	{#each list as one, i (i)}
		<div class="flex items-center gap-2">
			<span class="quiet w-40 text-[13px]">{textOf(one.when)}</span>
			<input
				class="input input-sm w-56"
				list="{id}-exercises"
				aria-label="In place of {part.exercise}, {textOf(one.when)}"
				value={one.exercise}
				onchange={(event) => rename(i, event.currentTarget.value)}
			/>
			<button
				type="button"
				class="btn btn-ghost btn-sm"
				aria-label="Remove {one.exercise}"
				onclick={() => put(list.filter((_, at) => at !== i))}><X size={14} aria-hidden="true" /></button
			>
		</div>
	{/each}
	{#if wrong}<p class="field-fault" role="alert">{wrong}.</p>{/if}
	{#if list.length > 0}<datalist id="{id}-exercises"
			>{#each shop().library.names() as name (name)}<option value={name}></option>{/each}</datalist
		>{/if}
	{#if list.length < LIMITS.instead}
		<label class="flex items-center gap-2"
			><span class="quiet w-40 text-[13px]">Add an alternative</span>
			<select
				class="select select-sm w-56"
				value=""
				onchange={(event) => {
					add(event.currentTarget.value as InsteadWhen);
					event.currentTarget.value = '';
				}}
			>
				<option value="" disabled>choose when</option>
				{#each free as when (when)}<option value={when}>{textOf(when)}</option>{/each}
			</select>
		</label>
	{/if}
</div>
