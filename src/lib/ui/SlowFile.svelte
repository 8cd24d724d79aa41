<script lang="ts">
	/** A file that takes a while to be made: says so meanwhile, and can be given up. Without script it is a link. */
	interface Props {
		href: string;
		label: string;
		/** What is said while it is made. */
		meanwhile: string;
		class?: string;
	}
	let { href, label, meanwhile, class: className = 'btn btn-outline btn-sm' }: Props = $props();
	let under = $state.raw<AbortController | null>(null);
	let failed = $state('');

	/** The name that the answer gives its file. */
	const nameOf = (disposition: string): string =>
		decodeURIComponent(/filename\*=UTF-8''([^;]+)/.exec(disposition)?.[1] ?? 'file');

	async function fetchIt(event: MouseEvent) {
		event.preventDefault();
		const mine = new AbortController();
		under = mine;
		failed = '';
		try {
			const answer = await fetch(href, { signal: mine.signal });
			if (!answer.ok) throw new Error(String(answer.status));
			const address = URL.createObjectURL(await answer.blob());
			const link = document.createElement('a');
			link.href = address;
			link.download = nameOf(answer.headers.get('content-disposition') ?? '');
			link.click();
			setTimeout(() => URL.revokeObjectURL(address), 10_000);
		} catch {
			if (!mine.signal.aborted) failed = 'It could not be made. Try again; nothing was changed.';
		}
		if (under === mine) under = null;
	}
</script>

<span class="inline-flex flex-wrap items-center gap-2">
	{#if under}
		<span role="status" class="text-sm"
			><progress class="progress w-24 align-middle"></progress> {meanwhile}</span
		>
		<button type="button" class="btn btn-ghost btn-sm" onclick={() => (under?.abort(), (under = null))}
			>Cancel</button
		>
	{:else}
		<a {href} download class={className} onclick={fetchIt}>{label}</a>
	{/if}
	{#if failed}<span class="field-fault" role="alert">{failed}</span>{/if}
</span>
