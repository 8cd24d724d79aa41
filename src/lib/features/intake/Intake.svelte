<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { pushState } from '$app/navigation';
	import { page } from '$app/state';
	import { CONSENT, INTAKE_SECTIONS } from '$core/people';
	import BodyStep from './BodyStep.svelte';
	import HealthStep from './HealthStep.svelte';
	import { IntakeForm, senderTo, type Sections } from './intake.svelte';
	import KitStep from './KitStep.svelte';
	import ScreeningResult from './ScreeningResult.svelte';
	import TrainingStep from './TrainingStep.svelte';
	import YouStep from './YouStep.svelte';

	/** The questions before the start, one section at a time. */
	interface Props {
		sections: Sections;
		zones: readonly string[];
		zone: string;
		now: number;
		/** Where answers are sent. */
		url: string;
		/** Whose answers are kept on this device. */
		keptAs: string;
		/** Somebody for whom the coach fills it in; null: for oneself. */
		forName?: string | null;
		done: string;
	}
	let { sections, zones, zone, now, url, keptAs, forName = null, done }: Props = $props();
	const TITLES = {
		you: 'You',
		training: 'Your training',
		kit: 'What you have',
		body: 'Your body',
		health: 'Your health',
		consent: 'Before you send it'
	} as const;

	let form = $state.raw<IntakeForm | null>(null);
	let deviceZone = $state<string | null>(null);
	let heading = $state<HTMLElement | null>(null);
	let kitStep = $state<ReturnType<typeof KitStep> | null>(null);

	onMount(() => {
		if (!forName) deviceZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
		const made = new IntakeForm(
			sections,
			zone,
			`cadrex.intake.${keptAs}`,
			senderTo(url),
			localStorage,
			() => crypto.randomUUID(),
			forName === null
		);
		first = made.step;
		form = made;
		const online = () => void made.send();
		window.addEventListener('online', online);
		const again = setInterval(online, 20_000);
		online();
		return () => {
			window.removeEventListener('online', online);
			clearInterval(again);
		};
	});
	// Each change is kept: a page that is closed or thrown away loses nothing that was typed.
	$effect(() => {
		if (!form || form.screening || form.waiting) return;
		$state.snapshot(form.answers);
		form.keepChange();
	});
	/** The phone's own way back goes one section back; each section is a place in the history of the page. */
	const shown = $derived(page.state.intakeStep ?? null);
	$effect(() => {
		if (!form) return;
		const step = shown ?? first;
		untrack(() => {
			if (form && step < form.step) {
				form.back(step);
				void move();
			}
		});
	});
	/** Where the questions began when the page was opened. */
	let first = $state(0);
	async function next() {
		if (!form) return;
		const before = form.step;
		const done = form.next();
		if (form.step > before) pushState('', { intakeStep: form.step });
		await move(done);
	}
	function back() {
		if (!form) return;
		if (form.step > first) history.back();
		else {
			form.back();
			first = form.step;
			void move();
		}
	}
	async function move(work?: Promise<void>) {
		await work;
		await tick();
		heading?.focus();
		window.scrollTo({ top: 0 });
	}
	const last = INTAKE_SECTIONS.length - 1;
</script>

{#if !form}
	<p class="quiet">One moment …</p>
{:else if form.screening}
	<div class="flex flex-col gap-4" role="status">
		<h1 class="text-3xl">{forName ? `Answered for ${forName}` : 'Thank you'}</h1>
		<ScreeningResult screening={form.screening} whose={forName ? 'they' : 'you'} />
		<a class="btn btn-primary min-h-14 text-lg" href={done}>{forName ? `Go to ${forName}` : 'Go on'}</a>
	</div>
{:else if form.waiting}
	<div class="flex flex-col gap-4" role="status">
		<h1 class="text-3xl">{form.sending ? 'Sending …' : 'Waiting for a connection'}</h1>
		{#if !form.sending}<p>
				Everything you answered is kept on this device. It is sent by itself as soon as there is a connection;
				leave this page open, or come back to it later.
			</p>
			<button class="btn btn-outline min-h-12" onclick={() => form?.send()}>Try now</button>{/if}
	</div>
{:else}
	<p class="quiet text-sm">
		{form.step + 1} of {INTAKE_SECTIONS.length}{form.step === 0 ? ', about four minutes in all' : ''}{forName
			? ` · for ${forName}`
			: ''}
	</p>
	<progress
		class="progress progress-primary mb-3 h-1.5"
		value={form.step + 1}
		max={INTAKE_SECTIONS.length}
		aria-hidden="true"
	></progress>
	<h1 class="mb-4 text-3xl" tabindex="-1" bind:this={heading}>{TITLES[form.section]}</h1>
	<form
		class="flex flex-col gap-6"
		novalidate
		onsubmit={(event) => {
			event.preventDefault();
			if (kitStep?.asksAboutWeight()) return;
			void next();
		}}
	>
		{#if form.section === 'you'}
			<YouStep bind:you={form.answers.you} faults={form.faults} {zones} {now} {deviceZone} />
		{:else if form.section === 'training'}
			<TrainingStep bind:training={form.answers.training} faults={form.faults} />
		{:else if form.section === 'kit'}
			<KitStep
				bind:this={kitStep}
				bind:kit={form.answers.kit}
				units={form.answers.you.units}
				faults={form.faults}
			/>
		{:else if form.section === 'body'}
			<BodyStep bind:body={form.answers.body} faults={form.faults} />
		{:else if form.section === 'health'}
			<HealthStep bind:health={form.answers.health} faults={form.faults} />
		{:else}
			<ul class="list-disc pl-5">
				{#each CONSENT.text as line (line)}<li class="mb-1.5">{line}</li>{/each}
			</ul>
			<label class="flex min-h-12 items-center gap-3"
				><input type="checkbox" class="checkbox" bind:checked={form.answers.consent.agreed} />
				{forName ? `${forName} agrees, and told me so` : 'I agree'}</label
			>
			{#if form.faults.agreed}<p class="field-fault" role="alert">{form.faults.agreed}</p>{/if}
		{/if}
		{#if form.refused}<p class="remark remark-attention font-semibold" role="alert">{form.refused}</p>{/if}
		{#if Object.keys(form.faults).length > 0}<p class="field-fault" role="alert">
				Something is missing or unclear above.
			</p>{/if}
		{#if form.offline}<p class="quiet text-[15px]" role="status">
				No connection at the moment. Your answers are kept on this device; go on.
			</p>{/if}
		<div class="flex gap-3">
			{#if form.step > 0}<button type="button" class="btn btn-ghost min-h-14 text-lg" onclick={back}
					>Back</button
				>{/if}
			<button class="btn btn-primary min-h-14 flex-1 text-lg">{form.step === last ? 'Send' : 'Next'}</button>
		</div>
	</form>
{/if}
