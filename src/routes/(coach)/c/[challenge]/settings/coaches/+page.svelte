<script lang="ts">
	import { enhance } from '$app/forms';
	import CopyText from '$lib/ui/CopyText.svelte';
	import Empty from '$lib/ui/Empty.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { page } from '$app/state';
	import { INVITED_ROLES, ROLE_SAYS, type InvitedRole } from '$core/people';
	import { listed } from '$core/text/words';
	import { counted, dayAndTimeIn } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const owner = $derived(data.challenge.role === 'owner');
	const base = $derived(`/c/${data.challenge.id}`);
	const at = (ms: number) => dayAndTimeIn(data.coach.zone, ms);
	const answer = $derived(
		form as {
			message?: string;
			link?: string;
			linksEnded?: readonly { id: string; name: string }[];
			typed?: Record<string, string>;
			faults?: { field: string; message: string }[];
		} | null
	);
	const faultOf = (field: string) => answer?.faults?.find((fault) => fault.field === field)?.message;
	let role = $state<InvitedRole>(page.url.searchParams.get('as') === 'viewer' ? 'viewer' : 'coach');
	const older = $derived(
		data.more === null ? null : `?${data.by ? `by=${data.by}&` : ''}before=${data.more}#done`
	);
</script>

<svelte:head><title>Coaches · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm"><a class="link-quiet" href="{base}/settings">Settings</a></p>
<h1 class="mb-3">Coaches and viewers</h1>
{#if answer?.linksEnded && answer.linksEnded.length > 0}
	<div class="remark remark-attention mb-4 max-w-3xl" role="status">
		<p class="font-semibold">
			{counted(answer.linksEnded.length, 'personal link', 'personal links')} ended, because they had made
			{answer.linksEnded.length === 1 ? 'it' : 'them'}.
		</p>
		<p class="text-sm">
			{listed(
				answer.linksEnded.map(({ name }) => name),
				12
			)} cannot get in until you send a new link. Check their email addresses first: see “Who did what” below.
		</p>
		<p class="mt-1"><a class="link-quiet" href="{base}/people">Send new links</a></p>
	</div>
{/if}
<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
	<section class="panel overflow-x-auto p-4" aria-label="Who works on this challenge">
		<table class="sheet">
			<thead
				><tr><th scope="col">Name</th><th scope="col">Role</th><th scope="col">Since</th><th></th></tr></thead
			>
			<tbody>
				{#each data.coaches as one (one.id)}
					<tr>
						<td
							><b>{one.name}</b>{one.id === data.coach.id ? ', you' : ''}
							<span class="quiet block text-sm">{one.email}</span></td
						>
						<td>
							{#if owner && one.role !== 'owner'}
								<form method="post" action="?/role" use:enhance class="flex gap-2">
									<input type="hidden" name="coach" value={one.id} />
									<select
										name="role"
										class="select select-sm w-28"
										aria-label="What {one.name} may do"
										value={one.role}
										onchange={(event) => event.currentTarget.form?.requestSubmit()}
										>{#each INVITED_ROLES as option (option)}<option>{option}</option>{/each}</select
									>
									<noscript><button class="btn btn-sm">Save</button></noscript>
								</form>
							{:else}{one.role}{/if}
						</td>
						<td class="quiet text-sm whitespace-nowrap">{one.since === null ? 'the start' : at(one.since)}</td
						>
						<td class="text-right">
							{#if owner && one.role !== 'owner'}
								<form method="post" action="?/remove" use:enhance>
									<input type="hidden" name="coach" value={one.id} />
									<button class="btn btn-ghost btn-sm" aria-label="Take {one.name} off">Take off</button>
								</form>
							{/if}
						</td>
					</tr>
				{/each}
				{#each data.invitations as one (one.id)}
					<tr>
						<td><b>{one.forWhom}</b> <span class="quiet block text-sm">invited</span></td>
						<td>{one.role}</td>
						<td class="quiet text-sm whitespace-nowrap">until {at(one.expiresAt)}</td>
						<td class="text-right">
							<form method="post" action="?/withdraw" use:enhance>
								<input type="hidden" name="invitation" value={one.id} />
								<button class="btn btn-ghost btn-sm" aria-label="Withdraw the invitation for {one.forWhom}"
									>Withdraw</button
								>
							</form>
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<dl class="mt-3 grid grid-cols-[4rem_1fr] gap-y-1 text-sm">
			{#each ['owner', ...INVITED_ROLES] as const as one (one)}
				<dt class="font-semibold">{one}</dt>
				<dd class="quiet">{ROLE_SAYS[one]}</dd>
			{/each}
		</dl>
	</section>
	{#if owner}
		<section class="panel flex flex-col gap-3 p-4" aria-labelledby="invite">
			<h2 id="invite">Invite</h2>
			{#if answer?.link}
				<p class="text-sm">Send this link yourself. It works once, for 14 days, and is shown only now.</p>
				<CopyText text={answer.link} label="Copy the link" />
			{/if}
			<form method="post" action="?/invite" use:enhance class="flex flex-col gap-3">
				<Field label="Whom it is for" id="forWhom" fault={faultOf('forWhom')}>
					<input
						id="forWhom"
						name="forWhom"
						maxlength="80"
						class="input input-sm w-full"
						value={answer?.typed?.forWhom ?? page.url.searchParams.get('for') ?? ''}
					/>
				</Field>
				<Field label="As" id="role" fault={faultOf('role')} hint={ROLE_SAYS[role]}>
					<select id="role" name="role" class="select select-sm w-full" bind:value={role}
						>{#each INVITED_ROLES as option (option)}<option>{option}</option>{/each}</select
					>
				</Field>
				{#if answer?.message && !answer.faults?.length}<p class="field-fault" role="alert">
						{answer.message}
					</p>{/if}
				<button class="btn btn-sm btn-primary self-start">Make the link</button>
			</form>
		</section>
	{/if}
</div>

<section class="mt-5" aria-labelledby="done">
	<div class="mb-2 flex flex-wrap items-baseline gap-3">
		<h2 id="done">Who did what</h2>
		<form class="ml-auto flex items-center gap-2 text-sm" data-sveltekit-noscroll>
			<label for="by" class="quiet">By</label>
			<select
				id="by"
				name="by"
				class="select select-sm w-48"
				value={data.by ?? ''}
				onchange={(event) => event.currentTarget.form?.requestSubmit()}
			>
				<option value="">everybody</option>
				{#each data.coaches as one (one.id)}{#if one.role !== 'viewer'}<option value={one.id}
							>{one.name}</option
						>{/if}{/each}
			</select>
			<noscript><button class="btn btn-sm">Show</button></noscript>
		</form>
	</div>
	{#if data.deeds.length === 0}
		<Empty
			says="Nothing has been changed yet. What you and your helpers change is listed here, with who and when."
		/>
	{:else}
		<table class="sheet panel text-sm">
			<thead
				><tr
					><th class="pl-4" scope="col">When</th><th scope="col">Who</th><th scope="col">What</th><th
						scope="col">About</th
					></tr
				></thead
			>
			<tbody>
				{#each data.deeds as deed (deed.id)}
					<tr>
						<td class="quiet pl-4 whitespace-nowrap">{at(deed.at)}</td>
						<td class="whitespace-nowrap">{deed.by}</td>
						<td>{deed.what}</td>
						<td
							>{#if deed.person}<a class="link-quiet" href="{base}/people/{deed.person.id}"
									>{deed.person.name}</a
								>{:else}{deed.session ?? ''}{/if}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if older}<p class="mt-2 text-sm"><a class="link-quiet" href={older}>Earlier</a></p>{/if}
	{/if}
</section>
