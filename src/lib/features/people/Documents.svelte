<script lang="ts">
	import { enhance } from '$app/forms';
	import { dayAndTimeIn, sizeText } from '$lib/format';

	/** Papers of somebody, seen by the coach alone. */
	interface Props {
		base: string;
		documents: readonly { id: string; name: string; bytes: number; at: number }[];
		/** Bytes of all their files, and how many they may have. */
		space: { used: number; most: number };
		zone: string;
		form: { documentFault?: string } | null;
	}
	let { base, documents, space, zone, form }: Props = $props();
</script>

<details class="panel p-4" open={documents.length > 0 || form?.documentFault !== undefined}>
	<summary class="font-head cursor-pointer text-lg font-bold">Documents, {documents.length}</summary>
	<ul class="mt-1 text-sm">
		{#each documents as one (one.id)}
			<li class="border-base-300 flex items-baseline justify-between gap-2 border-b py-1">
				<span class="min-w-0"
					><a class="link-quiet break-words" href="{base}/documents/{one.id}" download={one.name}
						>{one.name}</a
					>
					<span class="quiet block text-[13px]">{sizeText(one.bytes)}, {dayAndTimeIn(zone, one.at)}</span
					></span
				>
				<form method="post" action="?/removeDocument" use:enhance>
					<input type="hidden" name="document" value={one.id} /><button class="link-quiet">Delete</button>
				</form>
			</li>
		{/each}
	</ul>
	<form
		method="post"
		action="?/addDocument"
		enctype="multipart/form-data"
		use:enhance
		class="mt-2 flex flex-col gap-2 text-sm"
	>
		<label
			>A clearance or the like, PDF, JPEG or PNG, at most 8 MB
			<input
				name="file"
				type="file"
				accept=".pdf,.jpg,.jpeg,.png"
				class="file-input file-input-sm w-full"
				required
			/></label
		>
		{#if form?.documentFault}<p class="field-fault" role="alert">{form.documentFault}</p>{/if}
		<button class="btn btn-sm btn-outline self-start">Add document</button>
		<p class="quiet text-[13px]">
			Coaches of this challenge alone see it. Papers, photographs and clips of this person have {sizeText(
				space.used
			)} of {sizeText(space.most)}.
		</p>
	</form>
</details>
