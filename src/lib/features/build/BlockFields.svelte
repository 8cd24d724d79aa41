<script lang="ts">
	import { clockText, formatOf, numberOf, ROLES, withNumber, type Block, type Role } from '$core/session';
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
	type Values = Record<string, number | string>;
	/** What a format has beside its numbers, as it stands in this block; null: none. */
	const valuesOf = (key: string): Values | null =>
		(block as unknown as Record<string, Values | null | undefined>)[key] ?? null;
	function setDayPart(text: string) {
		const next = { ...block };
		delete next.dayPart;
		if (text.trim()) next.dayPart = text;
		onchange(next, 'dayPart');
	}
	const isOn = (key: string): boolean => (block as unknown as Record<string, unknown>)[key] === true;
	function setExtra(key: string, value: Values | boolean | null, without: 'null' | 'omitted' = 'null') {
		const next = { ...block, [key]: value };
		if (value === null && without === 'omitted') Reflect.deleteProperty(next, key);
		onchange(next, key);
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
	{#each formatOf(block).extras ?? [] as extra (extra.key)}
		{#if extra.kind === 'flag'}
			<label class="flex items-center gap-1.5 pb-1.5"
				><input
					type="checkbox"
					class="checkbox checkbox-sm"
					checked={isOn(extra.key)}
					onchange={(event) =>
						setExtra(extra.key, event.currentTarget.checked || (extra.without ? null : false), extra.without)}
				/>
				{extra.label}</label
			>
		{:else if extra.kind === 'record'}
			{@const values = valuesOf(extra.key)}
			<label>
				<span class="quiet block text-[13px]">{extra.label}</span>
				<select
					class="select select-sm w-36"
					value={values ? 'some' : 'none'}
					onchange={(event) =>
						setExtra(
							extra.key,
							event.currentTarget.value === 'some' ? { ...extra.initial } : null,
							extra.without
						)}
				>
					<option value="none">{extra.none}</option><option value="some">{extra.some}</option>
				</select>
			</label>
			{#if values}
				{#each extra.fields as field (field.key)}
					<label>
						<span class="quiet block text-[13px]">{field.label}</span>
						{#if field.kind === 'number'}
							<input
								type="number"
								class="input input-sm w-20"
								value={values[field.key]}
								oninput={(event) =>
									setExtra(extra.key, { ...values, [field.key]: event.currentTarget.valueAsNumber || 0 })}
							/>
						{:else}
							<select
								class="select select-sm w-28"
								value={values[field.key]}
								onchange={(event) =>
									setExtra(extra.key, { ...values, [field.key]: event.currentTarget.value })}
							>
								{#each field.options as option (option.value)}<option value={option.value}
										>{option.label}</option
									>{/each}
							</select>
						{/if}
					</label>
				{/each}
			{/if}
		{/if}
	{/each}
	<label>
		<span class="quiet block text-[13px]">part of the day</span>
		<input
			class="input input-sm w-28"
			placeholder="Evening"
			maxlength="100"
			value={block.dayPart ?? ''}
			oninput={(event) => setDayPart(event.currentTarget.value)}
		/>
	</label>
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
