<script lang="ts">
	/** The two ends of a run of days, as fields of a form. */
	interface Props {
		today: number;
		days: number;
	}
	let { today, days }: Props = $props();
</script>

<div class="flex gap-2">
	<label
		>From day <input
			name="fromDay"
			type="number"
			class="input input-sm w-20"
			min="1"
			max={days}
			value={today}
			required
		/></label
	>
	<label
		>to day <input
			name="toDay"
			type="number"
			class="input input-sm w-20"
			min="1"
			max={days}
			placeholder="open"
		/></label
	>
</div>
