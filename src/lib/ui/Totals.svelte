<script lang="ts">
	import { clockText, type Totals } from '$core/session';

	/** How long a session takes, as one sees it on the clock. */
	let { totals, budgetMinutes = null }: { totals: Totals; budgetMinutes?: number | null } = $props();
	const over = $derived(budgetMinutes === null ? 0 : totals.duration - budgetMinutes * 60);
	const spread = $derived(Math.round(totals.lower / 60) !== Math.round(totals.upper / 60));
</script>

<dl class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
	<div class="flex items-baseline gap-1.5">
		<dt class="sr-only">All</dt>
		<dd class="clock text-2xl font-bold">{clockText(totals.duration)}</dd>
		<dd class="quiet text-sm">
			{#if spread}all, {Math.round(totals.lower / 60)} to {Math.round(totals.upper / 60)} min at one’s own pace{:else}all{/if}
			{#if budgetMinutes !== null}· budget {budgetMinutes} min{/if}
		</dd>
	</div>
	<div class="flex items-baseline gap-1.5">
		<dd class="clock font-bold">{clockText(totals.work)}</dd>
		<dt class="quiet text-sm">work</dt>
	</div>
	<div class="flex items-baseline gap-1.5">
		<dd class="clock font-bold">{clockText(totals.rest)}</dd>
		<dt class="quiet text-sm">rest</dt>
	</div>
	{#if totals.restPerWork !== null}
		<div class="flex items-baseline gap-1.5">
			<dd class="clock font-bold">1 : {totals.restPerWork.toFixed(2)}</dd>
			<dt class="quiet text-sm">work to rest</dt>
		</div>
	{/if}
	{#if budgetMinutes !== null && over > 0}
		<div>
			<dd class="attention font-semibold">{clockText(over)} over the budget</dd>
		</div>
	{/if}
</dl>
