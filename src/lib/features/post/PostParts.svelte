<script lang="ts">
	import Parts from '$lib/ui/Parts.svelte';

	/** What Post is made of. */
	let { base, part }: { base: string; part: 'write' | 'group' | 'settings' } = $props();
</script>

<Parts
	name="Parts of Post"
	here={part}
	parts={[
		{ key: 'write', text: 'Write to several', href: `${base}/post` },
		{ key: 'group', text: 'Announcements and polls', href: `${base}/post/group` },
		{ key: 'settings', text: 'Tone, hours and rules', href: `${base}/post/settings` }
	]}
/>
