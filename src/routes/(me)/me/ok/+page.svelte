<script lang="ts">
	import { enhance } from '$app/forms';
	import Field from '$lib/ui/Field.svelte';
	import type { PageProps } from './$types';

	/** Somebody qualified has said yes: who, when, and the paper if there is one. */
	let { data, form }: PageProps = $props();
	const typed = $derived(form && 'typed' in form ? form.typed : null);
	const faultOf = (field: string) =>
		(form && 'faults' in form ? (form.faults ?? []) : []).find((one) => one.field === field)?.message;
</script>

<svelte:head><title>I have the OK</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-4">
	{#if form && 'told' in form}
		<h1 class="text-3xl">Your coach has it</h1>
		<p role="status">
			Your sessions open as soon as your coach has noted it. You don’t have to do anything else, and the days
			until then don’t count against you.
		</p>
		<a class="btn btn-primary min-h-14 text-lg" href="/me">To today</a>
	{:else}
		<h1 class="text-3xl">I have the OK</h1>
		<form
			method="post"
			enctype="multipart/form-data"
			novalidate
			class="flex flex-col gap-4"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<input type="hidden" name="id" value={data.id} />
			<Field
				label="Who said yes"
				id="who"
				fault={faultOf('who')}
				hint="Name and what they are: doctor, midwife, physiotherapist, parent"
			>
				<input
					id="who"
					name="who"
					maxlength="120"
					class="input min-h-12 w-full text-[17px]"
					value={typed?.who ?? ''}
				/>
			</Field>
			<Field label="When" id="on" fault={faultOf('on')}>
				<input
					id="on"
					name="on"
					type="date"
					max={data.today}
					class="input min-h-12 w-full text-[17px]"
					value={typed?.on ?? data.today}
				/>
			</Field>
			<Field label="Anything to leave out, if they said so" id="note" fault={faultOf('note')}>
				<textarea id="note" name="note" rows="2" maxlength="1000" class="textarea w-full text-[17px]"
					>{typed?.note ?? ''}</textarea
				>
			</Field>
			<Field
				label="The paper, if there is one"
				id="file"
				fault={faultOf('file')}
				hint="PDF, JPEG or PNG, up to 8 MB. Your coach alone sees it."
			>
				<input
					id="file"
					name="file"
					type="file"
					accept=".pdf,.jpg,.jpeg,.png"
					class="file-input min-h-12 w-full"
				/>
			</Field>
			{#if form && 'message' in form && !form.faults?.length}<p class="field-fault" role="alert">
					{form.message}
				</p>{/if}
			<button class="btn btn-primary min-h-14 text-lg">Tell my coach</button>
		</form>
	{/if}
</main>
