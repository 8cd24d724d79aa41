<script lang="ts">
	import { enhance } from '$app/forms';
	import { beforeNavigate } from '$app/navigation';
	import { untrack } from 'svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import UndoRedo from '$lib/ui/UndoRedo.svelte';
	import TeamCard from '$lib/features/people/TeamCard.svelte';
	import { TeamEditor } from '$lib/features/people/team-editor.svelte';
	import type { Member } from '$lib/features/people/team-members';
	import { TEAM_WAYS, type TeamWay, type TeamWish } from '$core/people';
	import { counted, placeOf } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const draftOf = ({ teams, buddies, wishes }: typeof data) => ({
		teams: teams.map(({ name, people }) => ({ name, people: [...people] })),
		buddies: buddies.map((group) => [...group]),
		wishes: [...wishes]
	});
	const editor = new TeamEditor(
		untrack(() => draftOf(data)),
		() => data.members
	);
	const memberOf = $derived(new Map<string, Member>(data.members.map((one) => [one.id, one])));
	const nameOf = (id: string) => memberOf.get(id)?.name ?? 'somebody who left';
	const members = (people: readonly string[]) => people.flatMap((id) => memberOf.get(id) ?? []);
	const teamNames = $derived(editor.teams.map(({ name }) => name));

	const WAYS: Record<TeamWay, string> = {
		balanced: 'balanced, by chance',
		'by level': 'by level',
		'by time zone': 'by time zone'
	};
	let way = $state<TeamWay>('balanced');
	let count = $state(untrack(() => data.teams.length || Math.max(2, Math.round(data.members.length / 7))));
	let draw = $state(0);
	const most = $derived(Math.min(100, data.members.length));
	function divide() {
		draw++;
		editor.divide(way, Math.max(1, Math.min(most, Math.round(count) || 1)), String(draw));
	}

	let wishing = $state<{ one: string; kind: TeamWish['kind']; other: string }>({
		one: '',
		kind: 'together',
		other: ''
	});
	function wish() {
		editor.wish(wishing.kind, wishing.one, wishing.other);
		wishing = { one: '', kind: wishing.kind, other: '' };
	}
	let pairing = $state({ one: '', other: '' });
	let pairs = $state(0);
	function join() {
		editor.join(pairing.one, pairing.other);
		pairing = { one: '', other: '' };
	}
	function pairUp(who: 'alone' | 'everybody') {
		pairs++;
		editor.pair(who, String(pairs));
	}
	const hours = (group: readonly string[]) => members(group).map(({ hour }) => hour);
	const levels = (group: readonly string[]) => [...new Set(members(group).map(({ level }) => level))];

	let saving = $state(false);
	beforeNavigate((navigation) => {
		if (editor.changed && !saving && !confirm('Leave without saving the teams?')) navigation.cancel();
	});
</script>

{#snippet person(id: string, label: string, value: string, onchange: (value: string) => void)}
	<select
		{id}
		class="select select-sm min-w-0 flex-1"
		aria-label={label}
		{value}
		onchange={(event) => onchange(event.currentTarget.value)}
	>
		<option value="">choose</option>
		{#each data.members as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
	</select>
{/snippet}

<svelte:head><title>Teams · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm"><a class="link-quiet" href="/c/{data.challenge.id}/people">People</a></p>
<form
	method="post"
	action="?/save"
	class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1"
	use:enhance={() => {
		saving = true;
		return async ({ update, result }) => {
			await update({ reset: false });
			if (result.type === 'success') editor.begin(draftOf(data));
			saving = false;
		};
	}}
>
	<h1>Teams and buddies</h1>
	<p class="quiet">
		{counted(data.members.length, 'person', 'people')}, {counted(editor.teams.length, 'team')}
		{#if editor.changed}<b class="text-base-content">changed</b>{/if}
	</p>
	<input type="hidden" name="revision" value={data.revision} />
	<input type="hidden" name="draft" value={JSON.stringify(editor.whole)} />
	<span class="ml-auto flex items-center gap-1.5">
		<UndoRedo history={editor} />
		<button class="btn btn-sm btn-primary" disabled={!editor.changed || saving}>Save teams</button>
	</span>
</form>
{#if form && 'message' in form && form.message}<p
		class="remark remark-attention mb-3 font-semibold"
		role="alert"
	>
		{form.message}
		{#if form.faults?.[0]}{form.faults[0].message}{/if}
	</p>{/if}
{#if form && 'saved' in form && !editor.changed}<p class="remark mb-3" role="status">Saved.</p>{/if}

{#if data.members.length < 2}
	<Empty says="Teams need at least two people.">
		<a class="link-quiet" href="/c/{data.challenge.id}/people/join">Add or invite people</a>
	</Empty>
{:else}
	<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_19rem]">
		<div class="flex min-w-0 flex-col gap-3">
			<div class="panel flex flex-wrap items-center gap-2 p-3 text-sm">
				<label class="flex items-center gap-2"
					>Divide everybody <select class="select select-sm w-48" bind:value={way}
						>{#each TEAM_WAYS as one (one)}<option value={one}>{WAYS[one]}</option>{/each}</select
					></label
				>
				<label class="flex items-center gap-2"
					>into <input
						type="number"
						class="input input-sm w-16"
						min="1"
						max={most}
						bind:value={count}
						aria-label="Number of teams"
					/> teams</label
				>
				<button class="btn btn-sm btn-outline" onclick={divide}
					>{draw === 0 ? 'Divide' : 'Divide anew'}</button
				>
				<button class="btn btn-sm btn-ghost" onclick={() => editor.addTeam()}>Add an empty team</button>
				<span class="quiet basis-full text-[13px]">
					{way === 'balanced'
						? 'Every team with the same mix of levels and of work done so far; each draw is another one.'
						: way === 'by level'
							? 'People of one level together, as far as sizes allow.'
							: 'Neighbours around the clock together, so that a team can meet.'}
				</span>
			</div>
			<div class="grid gap-3 sm:grid-cols-2 2xl:grid-cols-3">
				{#each editor.teams as team, i (i)}
					<TeamCard
						name={team.name}
						members={members(team.people)}
						teams={teamNames}
						at={i}
						onmove={(id, to) => editor.move(id, to)}
						onrename={(name) => editor.rename(i, name)}
						onremove={() => editor.removeTeam(i)}
					/>
				{/each}
				{#if editor.rest.length > 0 || editor.teams.length > 0}<TeamCard
						name={null}
						members={members(editor.rest)}
						teams={teamNames}
						at={null}
						onmove={(id, to) => editor.move(id, to)}
					/>{/if}
			</div>
		</div>
		<div class="flex flex-col gap-4">
			<section class="panel flex flex-col gap-2 p-3 text-sm" aria-labelledby="wishes">
				<h2 id="wishes" class="text-base">Together and apart</h2>
				<ul>
					{#each editor.wishes as one, i (one.pair.join())}
						{@const broken = editor.broken.includes(one)}
						<li class="border-base-300 flex items-baseline justify-between gap-2 border-b py-1">
							<span class={[broken && 'attention font-semibold']}
								>{nameOf(one.pair[0])} and {nameOf(one.pair[1])}: {one.kind}{broken ? ', not kept' : ''}</span
							>
							<button
								class="link-quiet"
								onclick={() => editor.unwish(i)}
								aria-label="Forget the wish about {nameOf(one.pair[0])}">Remove</button
							>
						</li>
					{:else}<li class="quiet">No wishes. Dividing and pairing keep to those there are.</li>{/each}
				</ul>
				<div class="flex flex-col gap-1.5">
					{@render person('wish-one', 'First of the two', wishing.one, (value) => (wishing.one = value))}
					<div class="flex gap-1.5">
						<select class="select select-sm w-28" aria-label="Wish" bind:value={wishing.kind}
							><option value="together">with</option><option value="apart">not with</option></select
						>
						{@render person(
							'wish-other',
							'Second of the two',
							wishing.other,
							(value) => (wishing.other = value)
						)}
					</div>
					<button
						class="btn btn-sm btn-outline self-start"
						disabled={!wishing.one || !wishing.other || wishing.one === wishing.other}
						onclick={wish}>Add the wish</button
					>
				</div>
			</section>
			<section class="panel flex flex-col gap-2 p-3 text-sm" aria-labelledby="buddies">
				<h2 id="buddies" class="text-base">Buddies</h2>
				<p class="quiet text-[13px]">
					Pairs who train at about the same hour and are of about the same level. Hours by the clock of {placeOf(
						data.coach.zone
					)}.
				</p>
				<ul>
					{#each editor.buddies as group, i (group.join())}
						<li class="border-base-300 flex items-baseline justify-between gap-2 border-b py-1">
							<span
								>{group.map(nameOf).join(' and ')}
								<span class="quiet block text-[13px]"
									>{hours(group).join(', ')} · {levels(group).join(', ')}</span
								></span
							>
							<button
								class="link-quiet"
								onclick={() => editor.part(i)}
								aria-label="Part {group.map(nameOf).join(' and ')}">Part</button
							>
						</li>
					{/each}
				</ul>
				{#if editor.alone.length > 0}<p class="quiet">
						Without a buddy: {editor.alone.length > 6
							? counted(editor.alone.length, 'person', 'people')
							: editor.alone.map(nameOf).join(', ')}.
					</p>{/if}
				<div class="flex flex-wrap gap-1.5">
					{#if editor.alone.length > 1 && editor.buddies.length > 0}<button
							class="btn btn-sm btn-outline"
							onclick={() => pairUp('alone')}>Pair those without</button
						>{/if}
					<button class="btn btn-sm btn-outline" onclick={() => pairUp('everybody')}
						>{editor.buddies.length > 0 ? 'Pair everybody anew' : 'Pair everybody'}</button
					>
				</div>
				<div class="flex items-center gap-1.5">
					{@render person('pair-one', 'One buddy', pairing.one, (value) => (pairing.one = value))}
					{@render person('pair-other', 'The other buddy', pairing.other, (value) => (pairing.other = value))}
				</div>
				<button
					class="btn btn-sm btn-outline self-start"
					disabled={!pairing.one || !pairing.other || pairing.one === pairing.other}
					onclick={join}>Make them buddies</button
				>
			</section>
		</div>
	</div>
{/if}
