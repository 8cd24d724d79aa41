<script lang="ts">
	import Field from '$lib/ui/Field.svelte';
	import ZoneInput from '$lib/ui/ZoneInput.svelte';

	/** Who somebody is, as far as joining takes: name, address, time zone. */
	interface Props {
		zones: readonly string[];
		zone: string;
		/** What was typed before, by field. */
		typed: Readonly<Record<string, string>>;
		faultOf: (field: string) => string | undefined;
		/** What the time zone is for. */
		hint?: string;
		/** Filled in by the person themselves, with a thumb. */
		own?: boolean;
	}
	let { zones, zone = $bindable(), typed, faultOf, hint, own = false }: Props = $props();
	const size = $derived(own ? 'min-h-12 text-[17px]' : 'input-sm');
</script>

<Field label={own ? 'Your name' : 'Name'} id="name" fault={faultOf('name')}>
	<input
		id="name"
		name="name"
		class={['input w-full', size]}
		maxlength="80"
		autocomplete={own ? 'name' : 'off'}
		value={typed.name ?? ''}
	/>
</Field>
<Field label={own ? 'Email address' : 'Email address, if you have it'} id="email" fault={faultOf('email')}>
	<input
		id="email"
		name="email"
		type="email"
		class={['input w-full', size]}
		maxlength="254"
		autocomplete={own ? 'email' : 'off'}
		value={typed.email ?? ''}
	/>
</Field>
<Field
	label="Time zone"
	id="zone"
	fault={faultOf('zone')}
	hint={own ? 'Each day opens in your own morning' : hint}
>
	<ZoneInput id="zone" name="zone" class="input w-full {size}" {zones} bind:value={zone} />
</Field>
