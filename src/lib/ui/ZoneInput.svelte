<script lang="ts">
	import { isZone } from '$core/calendar';
	import { zoneNamed } from '$core/people';

	/** A time zone, searched as one types. A town with one meaning is taken for its zone; for a slip one click mends it. */
	interface Props {
		value: string;
		zones: readonly string[];
		id?: string;
		name?: string;
		label?: string;
		class?: string;
	}
	let { value = $bindable(), zones, id, name, label, class: className = 'input w-full' }: Props = $props();
	const uid = $props.id();
	let taken = $state<string | null>(null);
	let wrong = $state<{ text: string; nearest: string | null } | null>(null);

	function read() {
		taken = wrong = null;
		if (!value.trim()) return;
		const named = zoneNamed(value, zones, isZone);
		if (named.zone === null) wrong = { text: value.trim(), nearest: named.nearest };
		else {
			if (named.meant) taken = `“${value.trim()}” taken as ${named.zone}.`;
			value = named.zone;
		}
	}
	function use(zone: string) {
		value = zone;
		wrong = null;
	}
</script>

<input
	{id}
	{name}
	class={className}
	list="{uid}-zones"
	placeholder="Europe/Oslo"
	aria-label={label}
	autocomplete="off"
	bind:value
	onchange={read}
/>
<datalist id="{uid}-zones">
	{#each zones as zone (zone)}<option value={zone}></option>{/each}
</datalist>
{#if taken}<p class="quiet mt-1 text-[13px]" role="status">{taken}</p>{/if}
{#if wrong}
	<p class="field-fault mt-1" role="alert">
		“{wrong.text}” isn’t a time zone.
		{#if wrong.nearest}{@const zone = wrong.nearest}
			<button type="button" class="link-quiet" onclick={() => use(zone)}>Use {zone}</button>
		{:else}One looks like Europe/Oslo.{/if}
	</p>
{/if}
