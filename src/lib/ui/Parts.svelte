<script lang="ts">
	/** The parts of a place, the one that is open marked. */
	interface Props {
		name: string;
		here: string;
		parts: readonly { key: string; text: string; href: string }[];
	}
	let { name, here, parts }: Props = $props();
</script>

<nav class="mb-3 flex flex-wrap gap-x-4 text-sm" aria-label={name}>
	{#each parts as { key, text, href } (key)}
		<a
			{href}
			data-sveltekit-noscroll
			aria-current={here === key ? 'page' : undefined}
			class={[
				'border-b-2 pb-0.5 font-semibold',
				here === key ? 'border-primary' : 'hover:text-primary border-transparent'
			]}>{text}</a
		>
	{/each}
</nav>
