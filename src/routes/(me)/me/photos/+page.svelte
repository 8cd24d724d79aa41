<script lang="ts">
	import { enhance } from '$app/forms';
	import { VIEWS, type View } from '$contracts/body';
	import Outline from '$lib/features/body/Outline.svelte';
	import PhotoCompare from '$lib/features/body/PhotoCompare.svelte';
	import { dayText } from '$lib/format';
	import Empty from '$lib/ui/Empty.svelte';
	import { Submission } from '$lib/ui/submission.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	let view = $state<View>('front');
	let preview = $state('');
	const sending = new Submission();
	const href = (id: string) => `/me/photos/${id}`;

	function show(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		preview = '';
		if (!file) return;
		const reader = new FileReader();
		reader.onload = () => (preview = String(reader.result));
		reader.readAsDataURL(file);
	}
</script>

<svelte:head><title>Photographs</title></svelte:head>
<p><a class="link-quiet inline-flex min-h-11 items-center" href="/me">Back to today</a></p>
<main class="flex flex-col gap-6">
	<div>
		<h1 class="text-3xl">Photographs</h1>
		<p class="quiet">
			For you. Your coach sees one only if you share it, and until you stop. What the camera writes into a
			photograph, such as the place, is taken out.
		</p>
	</div>
	<PhotoCompare pictures={data.pictures} {href} />
	<form
		method="post"
		action="?/add"
		enctype="multipart/form-data"
		class="panel flex flex-col gap-3 p-4"
		use:enhance={sending.watch(async ({ result, update }) => {
			await update({ reset: result.type === 'success' });
			if (result.type === 'success') preview = '';
		})}
	>
		<h2 class="text-xl">Add</h2>
		<div class="flex gap-4">
			<div class="bg-base-200 relative aspect-[3/4] w-36 shrink-0 overflow-hidden rounded">
				{#if preview}<img
						class="absolute inset-0 h-full w-full object-contain"
						src={preview}
						alt="As chosen"
					/>{/if}
				<div class="absolute inset-0"><Outline {view} /></div>
			</div>
			<div class="flex flex-col gap-2">
				<label
					>From
					<select class="select min-h-11 w-full" name="view" bind:value={view}>
						{#each VIEWS as one (one)}<option>{one}</option>{/each}
					</select></label
				>
				<label
					>On <input
						type="date"
						class="input min-h-11 w-full"
						name="on"
						max={data.today}
						value={data.today}
					/></label
				>
				<p class="quiet text-[15px]">Same place, same light, arms a little away, all of you in the frame.</p>
			</div>
		</div>
		<label
			>Photograph
			<input
				type="file"
				class="file-input min-h-12 w-full"
				name="file"
				accept="image/jpeg,image/png,image/webp"
				onchange={show}
			/></label
		>
		<label class="flex min-h-11 items-center gap-3"
			><input type="checkbox" class="checkbox" name="shared" /> Share it with my coach</label
		>
		{#if form && 'message' in form}<p class="remark remark-attention font-semibold" role="alert">
				{form.message}
			</p>{/if}
		<button class="btn btn-primary min-h-12" disabled={sending.cancel !== null}
			>{sending.cancel ? 'Sending …' : 'Keep'}</button
		>
	</form>
	{#if data.pictures.length === 0}
		<Empty
			says="No photos yet. Take one on the first day and one on the last, in the same light: the difference shows."
		/>
	{:else}
		<ul class="grid grid-cols-2 gap-4">
			{#each [...data.pictures].reverse() as one (one.id)}
				<li>
					<img
						class="bg-base-200 aspect-[3/4] w-full rounded object-contain"
						src={href(one.id)}
						alt="{one.view}, {dayText(one.takenOn)}"
						loading="lazy"
					/>
					<p class="text-[15px]">{one.view}, {dayText(one.takenOn)}</p>
					<div class="flex justify-between gap-2 text-[15px]">
						<form method="post" action="?/share" use:enhance>
							<input type="hidden" name="id" value={one.id} />
							<input type="hidden" name="shared" value={one.shared ? 'no' : 'yes'} />
							<button class="link-quiet min-h-11">{one.shared ? 'Stop sharing' : 'Share'}</button>
						</form>
						<form method="post" action="?/remove" use:enhance>
							<input type="hidden" name="id" value={one.id} />
							<button class="link-quiet min-h-11">Delete</button>
						</form>
					</div>
				</li>
			{/each}
		</ul>
	{/if}
</main>
