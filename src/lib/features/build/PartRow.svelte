<script lang="ts">
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import { dragHandle } from 'svelte-dnd-action';
	import { figureOf } from '$core/figures';
	import { readIn } from '$core/kit';
	import { cuesFor } from '$core/practice';
	import { muchText } from '$core/analysis';
	import {
		insteadWords,
		amountOf,
		type Block,
		effortText,
		paceText,
		loadText,
		type Part,
		type PartialRule,
		PARTIALS,
		type Resistance,
		RESISTANCES,
		saysHowMuch,
		type Target,
		targetOf
	} from '$core/session';
	import Figure from '$lib/ui/Figure.svelte';
	import InsteadFields from './InsteadFields.svelte';
	import LoadInput from './LoadInput.svelte';
	import { workshop } from './workshop';
	import { readTempo } from './block-fields';

	interface Props {
		block: Block;
		part: Part;
		mark: string;
		/** Said beside it: what changed in a view, or what is left of the minute. */
		remark?: string;
		open: boolean;
		/** Where parts are in groups: whether this one begins its group. */
		begins?: boolean;
		movable: boolean;
		onchange: (part: Part, what: string) => void;
		onremove: () => void;
		ongroup?: () => void;
	}
	let {
		block,
		part,
		mark,
		remark = '',
		open,
		begins,
		movable,
		onchange,
		onremove,
		ongroup
	}: Props = $props();
	const shop = workshop();
	const known = $derived(shop().library.find(part.exercise));
	const figure = $derived(figureOf(part.exercise, shop().library));
	const easier = $derived(shop().library.easier(part.exercise)?.name);
	const fixed = $derived(saysHowMuch(block.format));
	let tempoFault = $state(false);

	function setTempo(text: string) {
		const tempo = readTempo(text);
		tempoFault = tempo === 'fault';
		if (tempo !== 'fault') onchange({ ...part, tempo }, 'tempo');
	}
	/** The part without fields that would say nothing, or contradict what was chosen. */
	function without(...keys: (keyof Part)[]): Part {
		const next = { ...part };
		for (const key of keys) delete next[key];
		return next;
	}
	function setAmount(amount: number) {
		const target = { ...targetOf(part.target.kind, amount), ...(part.target.to && { to: part.target.to }) };
		onchange({ ...part, target, ...(part.each && { each: [amount, ...part.each.slice(1)] }) }, 'amount');
	}
	function setUpper(to: number) {
		const target = targetOf(part.target.kind, amountOf(part.target));
		onchange({ ...part, target: Number.isFinite(to) ? { ...target, to } : target }, 'to');
	}
	function setEach(text: string) {
		const each = text
			.split(/[\s,/]+/)
			.filter(Boolean)
			.map(Number);
		const target = targetOf(part.target.kind, each[0] ?? amountOf(part.target));
		onchange(each.length > 1 ? { ...part, target, each } : { ...without('each'), target }, '');
	}
	function withKg(kg: number | null): Part {
		if (kg === null) return { ...without('weights', 'kgByLevel'), kg };
		const next: Part = { ...without('resistance'), kg };
		if (part.kgByLevel) next.kgByLevel = [part.kgByLevel[0], kg, part.kgByLevel[2]];
		return next;
	}
	/** Loads of beginners and of trained people; the one between is the load itself. */
	function setByLevel(low: number, high: number) {
		if (part.kg !== null) onchange({ ...part, kgByLevel: [low, part.kg, high] }, 'kgByLevel');
	}
	const setWeights = (weights: number) =>
		onchange(weights > 1 ? { ...part, weights } : without('weights'), '');
	const setResistance = (name: string) =>
		onchange(name ? { ...part, resistance: name as Resistance } : without('resistance'), '');
	let effortFault = $state(false);
	function setEffort(text: string) {
		const found = /^\s*(\d+(?:\.5)?)\s*(?:[-–]\s*(\d+(?:\.5)?))?\s*$/.exec(text);
		effortFault = text.trim() !== '' && !found;
		if (effortFault) return;
		const low = Number(found?.[1]);
		onchange(found ? { ...part, effort: { low, high: Number(found[2] ?? low) } } : without('effort'), '');
	}
	let paceFault = $state(false);
	function setPace(text: string) {
		const [, minutes, seconds] = /^\s*(\d{1,2})(?::([0-5]\d))?\s*$/.exec(text) ?? [];
		paceFault = text.trim() !== '' && minutes === undefined;
		if (paceFault) return;
		onchange(
			minutes === undefined
				? without('pace')
				: { ...part, pace: Number(minutes) * 60 + Number(seconds ?? 0) },
			''
		);
	}
	function setOr(kind: string) {
		const next: Part = { ...part };
		delete next.or;
		if (kind !== '')
			next.or = targetOf(kind as Target['kind'], kind === 'seconds' ? 40 : kind === 'metres' ? 40 : 12);
		onchange(next, '');
	}
	function setPartial(rule: string) {
		const next: Part = { ...part };
		delete next.partial;
		if (rule !== '') next.partial = rule as PartialRule;
		onchange(next, '');
	}
</script>

<div class="border-base-300 border-b px-3 py-1 last:border-b-0">
	<div
		class="grid [content-visibility:auto] [contain-intrinsic-height:auto_2.75rem] grid-cols-[1.2rem_1.6rem_3.4rem_minmax(0,1.1fr)_8.5rem_6.6rem_minmax(0,1.3fr)] items-center gap-x-2"
	>
		{#if movable}
			<span
				use:dragHandle
				class="quiet flex h-8 w-5 cursor-grab items-center"
				aria-label="Move {part.exercise}"><GripVertical size={14} aria-hidden="true" /></span
			>
		{:else}<span></span>{/if}
		<span class="quiet clock text-sm">{mark}</span>
		<span class="h-11"
			>{#if figure}<Figure {figure} class="h-11 w-full" />{/if}</span
		>
		<b class="truncate" title={part.exercise}>{part.exercise}</b>
		<span class="clock text-sm">{muchText(block, part)}</span>
		<span class="clock text-sm"
			>{readIn([loadText(part), paceText(part)].filter(Boolean).join(', '), shop().units)}</span
		>
		<span class={['quiet text-[13px]', !remark && 'truncate']}>
			{#if remark}<b class="attention">{remark}</b>{:else}{[
					effortText(part),
					part.tempo?.join('-'),
					known ? cuesFor(known, shop().house)[0] : 'not in the library',
					easier ? `easier: ${easier}` : null
				]
					.filter(Boolean)
					.join(' · ')}{/if}
		</span>
	</div>
	{#if part.instead}<p class="quiet -mt-0.5 pb-1 pl-[7.7rem] text-[13px]">
			{part.instead.map((one) => insteadWords(one, 'the')).join(' · ')}
		</p>{/if}
	{#if open}
		<div class="mt-1 mb-1.5 flex flex-wrap items-end gap-2 pl-6 text-sm">
			{#if !fixed}
				<label
					><span class="quiet block text-[13px]">how much</span><input
						type="number"
						class="input input-sm w-16"
						value={amountOf(part.target)}
						oninput={(event) => setAmount(event.currentTarget.valueAsNumber || 0)}
					/></label
				>
				{#if part.each}
					<label
						><span class="quiet block text-[13px]">set by set</span><input
							class="input input-sm clock w-28"
							value={part.each.join('/')}
							onchange={(event) => setEach(event.currentTarget.value)}
						/></label
					>
				{:else}
					<label
						><span class="quiet block text-[13px]">up to</span><input
							type="number"
							class="input input-sm w-16"
							placeholder="–"
							value={part.target.to ?? ''}
							oninput={(event) => setUpper(event.currentTarget.valueAsNumber)}
						/></label
					>
				{/if}
				<label
					><span class="quiet block text-[13px]">counted in</span>
					<select
						class="select select-sm w-24"
						value={part.target.kind}
						onchange={(event) =>
							onchange(
								{
									...(event.currentTarget.value === 'metres' ? part : without('pace', 'eachWay')),
									target: {
										...targetOf(event.currentTarget.value as Target['kind'], amountOf(part.target)),
										...(part.target.to && { to: part.target.to })
									}
								},
								''
							)}
					>
						<option value="reps">reps</option><option value="seconds">seconds</option><option value="metres"
							>metres</option
						>
					</select>
				</label>
			{/if}
			<label
				><span class="quiet block text-[13px]">or else</span>
				<select
					class="select select-sm w-24"
					value={part.or?.kind ?? ''}
					onchange={(event) => setOr(event.currentTarget.value)}
				>
					<option value="">no choice</option>
					{#each ['reps', 'seconds', 'metres'].filter((kind) => kind !== part.target.kind) as kind (kind)}<option
							value={kind}>{kind}</option
						>{/each}
				</select>
			</label>
			{#if part.or}
				{@const or = part.or}
				<label
					><span class="quiet block text-[13px]">how many</span><input
						type="number"
						class="input input-sm w-16"
						value={amountOf(or)}
						oninput={(event) =>
							onchange({ ...part, or: targetOf(or.kind, event.currentTarget.valueAsNumber || 0) }, 'or')}
					/></label
				>
			{/if}
			<label class="flex items-center gap-1.5 pb-1.5"
				><input
					type="checkbox"
					class="checkbox checkbox-sm"
					checked={part.perSide}
					onchange={(event) => onchange({ ...part, perSide: event.currentTarget.checked }, '')}
				/> per side</label
			>
			{#if part.target.kind === 'metres'}
				<label class="flex items-center gap-1.5 pb-1.5"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={part.eachWay ?? false}
						onchange={(event) =>
							onchange(event.currentTarget.checked ? { ...part, eachWay: true } : without('eachWay'), '')}
					/> each way</label
				>
				<label
					><span class="quiet block text-[13px]">pace, min/km</span><input
						class={['input input-sm clock w-20', paceFault && '!border-warning']}
						placeholder="6:00"
						value={paceText(part)?.replace('/km', '') ?? ''}
						aria-invalid={paceFault}
						onchange={(event) => setPace(event.currentTarget.value)}
					/></label
				>
			{/if}
			<LoadInput label="load" kg={part.kg} width="w-16" onchange={(kg) => onchange(withKg(kg), 'kg')} />
			{#if part.kg !== null}
				{@const [low, high] = [part.kgByLevel?.[0] ?? part.kg, part.kgByLevel?.[2] ?? part.kg]}
				<label class="flex items-center gap-1.5 pb-1.5"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={part.kgByLevel !== undefined}
						onchange={(event) =>
							event.currentTarget.checked ? setByLevel(low, high) : onchange(without('kgByLevel'), '')}
					/> by level</label
				>
				{#if part.kgByLevel}
					<LoadInput label="beginners" kg={low} onchange={(kg) => setByLevel(kg ?? Number.NaN, high)} />
					<LoadInput label="trained" kg={high} onchange={(kg) => setByLevel(low, kg ?? Number.NaN)} />
				{/if}
				<label
					><span class="quiet block text-[13px]">weights</span>
					<select
						class="select select-sm w-16"
						value={part.weights ?? 1}
						onchange={(event) => setWeights(Number(event.currentTarget.value))}
					>
						{#each [1, 2, 3, 4] as n (n)}<option value={n}>{n}</option>{/each}
					</select>
				</label>
			{:else}
				<label
					><span class="quiet block text-[13px]">band or feel</span>
					<select
						class="select select-sm w-28"
						value={part.resistance ?? ''}
						onchange={(event) => setResistance(event.currentTarget.value)}
					>
						<option value="">none</option>
						{#each RESISTANCES as name (name)}<option value={name}>{name}</option>{/each}
					</select>
				</label>
			{/if}
			<label
				><span class="quiet block text-[13px]">effort, 0-10</span><input
					class={['input input-sm clock w-16', effortFault && '!border-warning']}
					placeholder="7-9"
					value={part.effort
						? `${part.effort.low}${part.effort.high > part.effort.low ? `-${part.effort.high}` : ''}`
						: ''}
					aria-invalid={effortFault}
					onchange={(event) => setEffort(event.currentTarget.value)}
				/></label
			>
			<label
				><span class="quiet block text-[13px]">tempo</span><input
					class={['input input-sm clock w-20', tempoFault && '!border-warning']}
					placeholder={known?.tempo?.join('-') ?? shop().house.tempo.join('-')}
					value={part.tempo?.join('-') ?? ''}
					aria-invalid={tempoFault}
					onchange={(event) => setTempo(event.currentTarget.value)}
				/></label
			>
			<label
				><span class="quiet block text-[13px]">each one</span>
				<select
					class="select select-sm w-24"
					value={part.partial ?? ''}
					onchange={(event) => setPartial(event.currentTarget.value)}
				>
					<option value="">whole</option>
					{#each Object.keys(PARTIALS) as rule (rule)}<option value={rule}>{rule}</option>{/each}
				</select>
			</label>
			<InsteadFields {part} onchange={(next) => onchange(next, '')} />
			{#if ongroup}<button type="button" class="btn btn-ghost btn-sm font-normal" onclick={ongroup}
					>{begins ? 'Join the group before' : 'Begin a group here'}</button
				>{/if}
			<button type="button" class="btn btn-ghost btn-sm font-normal" onclick={onremove}>Remove</button>
			{#if paceFault}<span class="field-fault">A pace is minutes and seconds a kilometre, as in 6:00</span
				>{/if}
			{#if effortFault}<span class="field-fault">Effort goes from 0 to 10: 8, or 7-9</span>{/if}
			{#if tempoFault}<span class="field-fault">A tempo is three or four numbers of seconds, as in 3-1-1</span
				>{/if}
		</div>
	{/if}
</div>
