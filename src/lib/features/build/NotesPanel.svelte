<script lang="ts">
	import type { Link, Session } from '$core/session';

	/** What goes with a session: a note, links, tags, and what is done after it. */
	interface Props {
		session: Session;
		tags: string[];
		onchange: (session: Session, what: string) => void;
		ontag: (tags: string[]) => void;
	}
	let { session, tags, onchange, ontag }: Props = $props();
	let tag = $state('');
	let title = $state('');
	let url = $state('');
	let after = $state('');

	function put<K extends 'note' | 'links' | 'recovery'>(key: K, value: Session[K], what = '') {
		const next: Session = { ...session };
		delete next[key];
		if (value && value.length > 0) next[key] = value;
		onchange(next, what);
	}
	function setPieces(on: boolean) {
		const next: Session = { ...session };
		delete next.pieces;
		if (on) next.pieces = true;
		onchange(next, '');
	}
	const links = $derived<Link[]>(session.links ?? []);
	const recovery = $derived<string[]>(session.recovery ?? []);
	function addTag() {
		if (tag.trim() && !tags.includes(tag.trim())) ontag([...tags, tag.trim()]);
		tag = '';
	}
	function addLink() {
		if (!title.trim() || !url.trim()) return;
		put('links', [...links, { title: title.trim(), url: url.trim() }]);
		[title, url] = ['', ''];
	}
	function addAfter() {
		if (!after.trim()) return;
		put('recovery', [...recovery, after.trim()]);
		after = '';
	}
	const enter = (run: () => void) => (event: KeyboardEvent) => {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		run();
	};
</script>

<section
	class="panel mt-4 p-4 [contain-intrinsic-height:auto_20rem] [content-visibility:auto]"
	aria-labelledby="beside"
>
	<h2 id="beside" class="mb-2">Notes and links</h2>
	<div class="grid gap-4 md:grid-cols-2">
		<label class="block">
			<span class="label-text">Note to the participants</span>
			<textarea
				class="textarea textarea-sm w-full"
				rows="3"
				maxlength="2000"
				value={session.note ?? ''}
				oninput={(event) => put('note', event.currentTarget.value, 'note')}></textarea>
		</label>
		<label class="flex items-center gap-2 text-sm md:order-last"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={session.pieces === true}
				onchange={(event) => setPieces(event.currentTarget.checked)}
			/> In pieces over the day: each block is ticked off when it is done</label
		>
		<div>
			<span class="label-text">Recovery after the session</span>
			<ul class="text-sm">
				{#each recovery as text, i (i)}<li class="flex items-baseline gap-2">
						{text}
						<button
							type="button"
							class="link-quiet text-[13px]"
							onclick={() =>
								put(
									'recovery',
									recovery.filter((_, at) => at !== i)
								)}
							aria-label="Remove {text}">remove</button
						>
					</li>{/each}
			</ul>
			<div class="flex gap-2">
				<input
					class="input input-sm w-full"
					placeholder="10 min easy walk"
					maxlength="160"
					aria-label="What is done after the session"
					bind:value={after}
					onkeydown={enter(addAfter)}
				/>
				<button type="button" class="btn btn-sm btn-outline" onclick={addAfter} disabled={!after.trim()}
					>Add</button
				>
			</div>
		</div>
		<div>
			<span class="label-text">Links, video or music</span>
			<ul class="text-sm">
				{#each links as link, i (i)}<li class="flex items-baseline gap-2">
						<b>{link.title}</b> <span class="quiet truncate">{link.url}</span>
						<button
							type="button"
							class="link-quiet text-[13px]"
							onclick={() =>
								put(
									'links',
									links.filter((_, at) => at !== i)
								)}
							aria-label="Remove {link.title}">remove</button
						>
					</li>{/each}
			</ul>
			<div class="flex gap-2">
				<input
					class="input input-sm w-32"
					placeholder="Title"
					maxlength="80"
					aria-label="Title of the link"
					bind:value={title}
					onkeydown={enter(addLink)}
				/>
				<input
					class="input input-sm w-full"
					type="url"
					placeholder="https://"
					maxlength="500"
					aria-label="Address of the link"
					bind:value={url}
					onkeydown={enter(addLink)}
				/>
				<button
					type="button"
					class="btn btn-sm btn-outline"
					onclick={addLink}
					disabled={!title.trim() || !url.trim()}>Add</button
				>
			</div>
		</div>
		<div>
			<span class="label-text">Tags</span>
			<ul class="mb-1 flex flex-wrap gap-1.5 text-sm">
				{#each tags as one (one)}<li class="border-base-300 flex items-center gap-1 rounded border px-1.5">
						{one}
						<button
							type="button"
							class="quiet"
							onclick={() => ontag(tags.filter((t) => t !== one))}
							aria-label="Remove the tag {one}">×</button
						>
					</li>{/each}
			</ul>
			<div class="flex gap-2">
				<input
					class="input input-sm w-full"
					placeholder="legs, hotel room, short"
					maxlength="30"
					aria-label="A tag"
					bind:value={tag}
					onkeydown={enter(addTag)}
				/>
				<button type="button" class="btn btn-sm btn-outline" onclick={addTag} disabled={!tag.trim()}
					>Add</button
				>
			</div>
		</div>
	</div>
</section>
