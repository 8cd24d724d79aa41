<script lang="ts">
	import Parts from '$lib/ui/Parts.svelte';

	/** What reaching out is made of. */
	let { base, part }: { base: string; part: 'people' | 'form' | 'requests' | 'works' | 'rules' } = $props();
</script>

<Parts
	name="Parts of Reach out"
	here={part}
	parts={[
		{ key: 'people', text: 'Who needs you', href: `${base}/reach` },
		{ key: 'form', text: 'Form check', href: `${base}/reach/form` },
		{ key: 'requests', text: 'Requests', href: `${base}/reach/requests` },
		{ key: 'works', text: 'What works', href: `${base}/reach/works` },
		{ key: 'rules', text: 'Rules', href: `${base}/reach/rules` }
	]}
/>
