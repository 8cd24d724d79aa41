<script lang="ts">
	import { enhance } from '$app/forms';
	import PostParts from '$lib/features/post/PostParts.svelte';
	import { AUTOMATIC, MOST_REPLIES, REPLY_LENGTH } from '$contracts/post';
	import { DRAFT_STYLES, draftFor, REASON_TITLE, type Tone } from '$core/triage';
	import { calledBy } from '$core/people';
	import { readTemplate } from '$core/text/template';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const base = $derived(`/c/${data.challenge.id}`);
	const answer = $derived(
		form as { message?: string; saved?: boolean; test?: { fault: string | null } } | null
	);
	// svelte-ignore state_referenced_locally
	let tone = $state<Tone>({
		style: data.settings.style,
		greeting: data.settings.greeting,
		signOff: data.settings.signOff
	});
	const STYLE = {
		brief: 'Brief: what is the matter and a question',
		plain: 'Plain: with an offer',
		warm: 'Warm: with an offer and a kind word'
	};
	const EXAMPLE = { kind: 'missing', due: 3, since: 0, lastSeen: 0 } as const;
	const faulty = $derived([tone.greeting, tone.signOff].some((text) => readTemplate(text).faults.length > 0));
	const example = $derived(
		draftFor(EXAMPLE, tone, {
			name: 'Tamsin',
			'full name': 'Tamsin Oyelaran',
			coach: calledBy(data.coach.name),
			challenge: data.challenge.name,
			day: '23',
			'days left': '19',
			'sessions done': '14',
			done: '84 %',
			streak: '6',
			team: 'Larch'
		})
	);
</script>

<svelte:head><title>Tone, hours and rules · {data.challenge.name}</title></svelte:head>
<h1 class="mb-2">Post</h1>
<PostParts {base} part="settings" />
{#if answer?.saved}<p class="remark mb-3" role="status">Saved.</p>{/if}
{#if answer?.message}<p class="field-fault mb-3" role="alert">{answer.message}</p>{/if}
<div class="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
	<form
		method="post"
		action="?/save"
		class="flex flex-col gap-5"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<fieldset class="panel flex flex-col gap-3 p-4">
			<legend class="sr-only">Tone</legend>
			<h2>How drafts sound</h2>
			{#each DRAFT_STYLES as style (style)}
				<label class="flex items-center gap-2"
					><input type="radio" class="radio radio-sm" name="style" value={style} bind:group={tone.style} />
					{STYLE[style]}</label
				>
			{/each}
			<label class="flex flex-col"
				><span class="label-text">Greeting</span><input
					class="input w-72"
					name="greeting"
					maxlength="80"
					bind:value={tone.greeting}
				/></label
			>
			<label class="flex flex-col"
				><span class="label-text">Sign-off</span><textarea
					class="textarea w-72"
					name="signOff"
					rows="2"
					maxlength="200"
					bind:value={tone.signOff}></textarea></label
			>
			<p class="quiet text-sm">{'{name}'} is who it is for, {'{coach}'} is you.</p>
		</fieldset>
		<fieldset class="panel flex flex-col gap-3 p-4">
			<legend class="sr-only">Hours</legend>
			<h2>Quiet hours and your morning</h2>
			<p>
				<label
					>No email from <input
						type="time"
						class="input input-sm w-28"
						name="quietFrom"
						value={data.settings.quietFrom}
					/></label
				>
				<label
					>to <input
						type="time"
						class="input input-sm w-28"
						name="quietTo"
						value={data.settings.quietTo}
					/></label
				> <span class="quiet">where they are</span>
			</p>
			<p>
				<label class="inline-flex items-center gap-2"
					><input type="checkbox" class="checkbox checkbox-sm" name="digest" checked={data.settings.digest} /> A
					letter each morning about who needs you</label
				>
				<label
					>at <input
						type="time"
						class="input input-sm w-28"
						name="digestAt"
						value={data.settings.digestAt}
					/></label
				>
			</p>
			<label class="flex items-center gap-2"
				><input type="checkbox" class="checkbox checkbox-sm" name="answers" checked={data.settings.answers} /> An
				email when somebody writes to you, without what or who</label
			>
		</fieldset>
		<fieldset class="panel flex flex-col gap-2 p-4">
			<legend class="sr-only">Lines</legend>
			<h2>Your lines about results</h2>
			<p class="quiet text-sm">
				On the desk, R goes to the next result and a number says the line about it. It stands in their app and
				goes by no email. An empty one is left out.
			</p>
			{#each { length: MOST_REPLIES }, i}
				<label class="flex items-center gap-2"
					><span class="clock w-4 font-bold">{i + 1}</span><input
						class="input w-full"
						name="reply"
						maxlength={REPLY_LENGTH}
						aria-label="Line {i + 1}"
						value={data.settings.replies[i] ?? ''}
					/></label
				>
			{/each}
		</fieldset>
		<fieldset class="panel flex flex-col gap-2 p-4">
			<legend class="sr-only">Rules</legend>
			<h2>What goes out by itself</h2>
			<p class="quiet text-sm">
				For a reason that is ticked your draft goes out each morning without your looking at it, once a
				reason. Leave all of them empty to send everything yourself. Whatever is about safety or load is
				always yours to write.
			</p>
			<div class="grid gap-x-4 gap-y-1 sm:grid-cols-2">
				{#each AUTOMATIC as kind (kind)}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							class="checkbox checkbox-sm"
							name="automatic"
							value={kind}
							checked={data.settings.automatic.includes(kind)}
						/>
						{REASON_TITLE[kind]}</label
					>
				{/each}
			</div>
		</fieldset>
		<button class="btn btn-primary self-start" disabled={faulty}>Save</button>
	</form>
	<div class="flex flex-col gap-5">
		<section class="panel p-4" aria-labelledby="example">
			<h2 id="example">A draft for three missed days</h2>
			{#if faulty}<p class="field-fault mt-2">
					{readTemplate(tone.greeting).faults[0]?.message ?? readTemplate(tone.signOff).faults[0]?.message}
				</p>{/if}
			<p class="mt-2 whitespace-pre-line">{example}</p>
		</section>
		<section class="panel p-4" aria-labelledby="mail">
			<h2 id="mail">Email</h2>
			<p class="mt-1 text-sm">
				{data.server
					? `Goes out through ${data.server}.`
					: 'No mail server is set, so emails are written into files in the data directory.'}
			</p>
			<form method="post" action="?/test" class="mt-2" use:enhance>
				<button class="btn btn-outline btn-sm">Send a test to {data.email}</button>
			</form>
			{#if answer?.test}<p class={['mt-2 text-sm', answer.test.fault && 'field-fault']} role="status">
					{answer.test.fault ? `It didn’t go: ${answer.test.fault}` : 'It went.'}
				</p>{/if}
		</section>
	</div>
</div>
