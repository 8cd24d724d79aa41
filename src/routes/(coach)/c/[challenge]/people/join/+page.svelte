<script lang="ts">
	import { enhance } from '$app/forms';
	import CopyText from '$lib/ui/CopyText.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import Field from '$lib/ui/Field.svelte';
	import WhoFields from '$lib/features/people/WhoFields.svelte';
	import { counted, dayAndTimeIn, placeOf } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	let zone = $state('');
	const setting = $derived(data.setting);
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	const faultOf = (field: string) =>
		(form && 'faults' in form ? (form.faults ?? []) : []).find((one) => one.field === field)?.message;
	const places = $derived(setting.capacity === null ? null : Math.max(0, setting.capacity - setting.people));
</script>

<svelte:head><title>Add and invite · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm"><a class="link-quiet" href="/c/{data.challenge.id}/people">People</a></p>
<h1 class="mb-3">Add and invite</h1>
{#if form && 'added' in form && !form.link}
	<p class="remark mb-4 max-w-2xl" role="status">
		<b>{form.added} is enrolled.</b> Send their link by email from
		<a class="link-quiet" href="/c/{data.challenge.id}/people">People</a>.
	</p>
{:else if form && 'link' in form && form.link}
	<div class="panel mb-4 max-w-2xl p-4" role="status">
		<p class="mb-2">
			<b>{form.added} is enrolled.</b> Send them their own link; it is shown now and never again.
		</p>
		<CopyText text={form.link} label="Copy the link" />
	</div>
{/if}
<div class="grid items-start gap-4 lg:grid-cols-2">
	<section class="panel flex flex-col gap-3 p-4" aria-labelledby="add">
		<h2 id="add">Add one person</h2>
		<form method="post" action="?/add" novalidate use:enhance class="flex flex-col gap-3">
			<WhoFields zones={data.zones} bind:zone {typed} {faultOf} />
			<Field label="Level" id="level" fault={faultOf('level')}>
				<select id="level" name="level" class="select select-sm w-full" value={typed.level ?? data.levels[0]}
					>{#each data.levels as level (level)}<option>{level}</option>{/each}</select
				>
			</Field>
			<Field label="Equipment" id="equipment" hint="They can say so themselves" fault={faultOf('equipment')}>
				<input
					id="equipment"
					name="equipment"
					class="input input-sm w-full"
					maxlength="1000"
					value={typed.equipment ?? ''}
				/>
			</Field>
			{#if form && 'message' in form && form.message && !form.faults?.length}<p
					class="field-fault"
					role="alert"
				>
					{form.message}
				</p>{/if}
			<button class="btn btn-sm btn-primary self-start">Add them</button>
		</form>
	</section>
	<section class="panel flex flex-col gap-3 p-4" aria-labelledby="page">
		<h2 id="page">Page to join on</h2>
		{#if data.address}
			<p class="text-sm">
				Whoever has this address can join by themselves{places === null
					? ''
					: places === 0
						? '; all places are taken, so that they wait'
						: `, ${counted(places, 'place')} left`}.
			</p>
			<CopyText text={data.address} label="Copy the address" />
			<p class="text-sm">Code <b class="clock">{setting.code}</b></p>
		{:else}
			<p class="quiet text-sm">Off: people join only by a list, or one by one.</p>
		{/if}
		<form method="post" use:enhance class="flex flex-wrap items-end gap-2">
			<Field label="Places, empty for as many as come" id="capacity" fault={faultOf('capacity')}>
				<input
					id="capacity"
					name="capacity"
					type="number"
					min="1"
					max="2000"
					class="input input-sm w-28"
					value={setting.capacity ?? ''}
				/>
			</Field>
			<button class="btn btn-sm btn-outline" formaction="?/open"
				>{data.address ? 'Save places' : 'Turn it on'}</button
			>
			{#if data.address}<button class="btn btn-sm btn-ghost" formaction="?/close">Turn it off</button>{/if}
		</form>
		<h3>Waiting, {data.waiting.length}</h3>
		{#if data.waiting.length === 0}<Empty
				says="Nobody is waiting for a place. People who sign up when the places are taken wait here until you let them in."
			/>{:else}
			<ul class="text-sm">
				{#each data.waiting as one (one.id)}
					<li class="border-base-300 flex items-baseline justify-between gap-3 border-b py-1.5">
						<span
							><b>{one.name}</b>, {one.email}
							<span class="quiet block text-[13px]"
								>{placeOf(one.zone)}, since {dayAndTimeIn(data.coach.zone, one.at)}{one.known
									? ', known to you already: make sure it is them'
									: ''}</span
							></span
						>
						<form method="post" use:enhance class="flex gap-2">
							<input type="hidden" name="person" value={one.id} />
							<button class="link-quiet" formaction="?/admit">Enrol</button>
							<button class="link-quiet" formaction="?/turnAway">Remove</button>
						</form>
					</li>
				{/each}
			</ul>
		{/if}
	</section>
</div>
