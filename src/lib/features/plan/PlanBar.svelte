<script lang="ts">
	import { enhance } from '$app/forms';
	import { dateOfDay } from '$core/calendar';
	import { counted, dayText } from '$lib/format';
	import UndoRedo from '$lib/ui/UndoRedo.svelte';
	import type { PlanEditor } from './plan-editor.svelte';

	/** What the plan is, what has been changed in it, and saving. */
	interface Props {
		editor: PlanEditor;
		revision: number;
		startsOn: string;
		releasedTo: number;
		people: number;
		/** The plan as it is saved. */
		saved: { days: number };
		/** Whether the draft is kept in this browser. */
		keeps: boolean;
		onsaved: () => void;
	}
	let { editor, revision, startsOn, releasedTo, people, saved, keeps, onsaved }: Props = $props();
	const length = $derived(editor.plan.days.length);
	const works = $derived(editor.plan.days.filter((day) => day.kind !== 'rest').length);
	const longer = $derived(length - saved.days);
	let saving = $state(false);
</script>

<form
	method="post"
	action="?/save"
	class="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1"
	use:enhance={() => {
		saving = true;
		return async ({ update, result }) => {
			if (result.type === 'success') onsaved();
			await update({ reset: false });
			saving = false;
		};
	}}
>
	<h1>Plan</h1>
	<p class="quiet">
		{counted(length, 'day')}, {works} with work, to {dayText(dateOfDay(length, startsOn))}
		{#if editor.changed}<b class="text-base-content">changed</b>{keeps ? ', draft kept' : ''}{/if}
		{#if longer !== 0}<b class="attention"
				>{Math.abs(longer)}
				{Math.abs(longer) === 1 ? 'day' : 'days'}
				{longer > 0 ? 'longer' : 'shorter'}{people > 0
					? `, for ${counted(people, 'person', 'people')} from day ${releasedTo + 1} on`
					: ''}</b
			>{/if}
	</p>
	<input type="hidden" name="plan" value={JSON.stringify(editor.plan)} />
	<input type="hidden" name="revision" value={revision} />
	<span class="ml-auto flex items-center gap-1.5 self-center">
		<UndoRedo history={editor} />
		<button class="btn btn-primary btn-sm" disabled={!editor.changed || saving}>Save plan</button>
	</span>
</form>
