<script lang="ts">
	import { clockText, numberOf, ROLES, withNumber, type Block, type Role } from '$core/session';
	import { fieldsOf, readClock } from './block-fields';

	/** The numbers of a block, its role, what has to be set up before it, and what only its format has. */
	let { block, onchange }: { block: Block; onchange: (block: Block, what: string) => void } = $props();

	function setNumber(key: string, text: string, unit: string, nullable = false) {
		if (text.trim() === '') {
			onchange(withNumber(block, key, nullable ? null : 0), key);
			return;
		}
		const value = unit === 'clock' ? readClock(text) : Number(text);
		onchange(withNumber(block, key, value ?? 0), key);
	}
	function setSetup(text: string, seconds: number) {
		const next: Block = { ...block };
		delete next.setup;
		if (text.trim()) next.setup = { text, seconds };
		onchange(next, 'setup');
	}
	function setDrop(times: number, percent = 20, on: 'last' | 'every' = 'last') {
		if (block.format !== 'straight-sets') return;
		const next = { ...block };
		delete next.drop;
		if (times > 0) next.drop = { times, percent, on };
		onchange(next, 'drop');
	}
</script>

<div class="border-base-300 bg-base-200 flex flex-wrap items-end gap-3 border-b px-3 py-2 text-sm">
	<label>
		<span class="quiet block text-[13px]">role</span>
		<select
			class="select select-sm w-28"
			value={block.role}
			onchange={(event) => onchange({ ...block, role: event.currentTarget.value as Role }, '')}
		>
			{#each ROLES as role (role)}<option>{role}</option>{/each}
		</select>
	</label>
	{#each fieldsOf(block) as field (field.key)}
		{@const value = numberOf(block, field.key)}
		<label>
			<span class="quiet block text-[13px]"
				>{field.label}{field.unit && `, ${field.unit === 'clock' ? 'min:s' : field.unit}`}</span
			>
			{#if field.unit === 'clock'}
				<input
					class="input input-sm clock w-20"
					value={value === null ? '' : clockText(value)}
					onchange={(event) => setNumber(field.key, event.currentTarget.value, field.unit, field.nullable)}
				/>
			{:else}
				<input
					type="number"
					class="input input-sm w-20"
					{value}
					oninput={(event) => setNumber(field.key, event.currentTarget.value, field.unit, field.nullable)}
				/>
			{/if}
		</label>
	{/each}
	{#if block.format === 'interval-circuit'}
		<label class="flex items-center gap-1.5 pb-1.5"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={block.keepLastRest}
				onchange={(event) => onchange({ ...block, keepLastRest: event.currentTarget.checked }, '')}
			/> keep the last rest</label
		>
	{/if}
	{#if block.format === 'steady-cardio'}
		{@const bpm = block.bpm}
		<label>
			<span class="quiet block text-[13px]">effort</span>
			<select
				class="select select-sm w-36"
				value={bpm ? 'bpm' : 'talk'}
				onchange={(event) =>
					onchange(
						{ ...block, bpm: event.currentTarget.value === 'bpm' ? { low: 145, high: 155 } : null },
						''
					)}
			>
				<option value="talk">by talk test</option><option value="bpm">by heart rate</option>
			</select>
		</label>
		{#if bpm}
			<label
				><span class="quiet block text-[13px]">from, bpm</span><input
					type="number"
					class="input input-sm w-20"
					value={bpm.low}
					oninput={(event) =>
						onchange({ ...block, bpm: { ...bpm, low: event.currentTarget.valueAsNumber || 0 } }, 'bpm')}
				/></label
			>
			<label
				><span class="quiet block text-[13px]">to, bpm</span><input
					type="number"
					class="input input-sm w-20"
					value={bpm.high}
					oninput={(event) =>
						onchange({ ...block, bpm: { ...bpm, high: event.currentTarget.valueAsNumber || 0 } }, 'bpm')}
				/></label
			>
		{/if}
	{/if}
	{#if block.format === 'straight-sets'}
		{@const drop = block.drop}
		<label>
			<span class="quiet block text-[13px]">drops</span>
			<select
				class="select select-sm w-24"
				value={drop?.times ?? 0}
				onchange={(event) => setDrop(Number(event.currentTarget.value), drop?.percent, drop?.on)}
			>
				<option value={0}>none</option>{#each [1, 2, 3, 4, 5] as n (n)}<option value={n}>{n}</option>{/each}
			</select>
		</label>
		{#if drop}
			<label
				><span class="quiet block text-[13px]">less each, %</span><input
					type="number"
					class="input input-sm w-20"
					value={drop.percent}
					oninput={(event) => setDrop(drop.times, event.currentTarget.valueAsNumber || 0, drop.on)}
				/></label
			>
			<label
				><span class="quiet block text-[13px]">on</span>
				<select
					class="select select-sm w-28"
					value={drop.on}
					onchange={(event) =>
						setDrop(drop.times, drop.percent, event.currentTarget.value as 'last' | 'every')}
					><option value="last">the last set</option><option value="every">every set</option></select
				>
			</label>
		{/if}
	{/if}
	<label class="grow">
		<span class="quiet block text-[13px]">set up before it</span>
		<input
			class="input input-sm w-full min-w-48"
			placeholder="move the bench to 45°"
			maxlength="120"
			value={block.setup?.text ?? ''}
			oninput={(event) => setSetup(event.currentTarget.value, block.setup?.seconds ?? 20)}
		/>
	</label>
	{#if block.setup}
		{@const text = block.setup.text}
		<label
			><span class="quiet block text-[13px]">takes, s</span><input
				type="number"
				class="input input-sm w-20"
				value={block.setup.seconds}
				oninput={(event) => setSetup(text, event.currentTarget.valueAsNumber || 0)}
			/></label
		>
	{/if}
</div>
