<script lang="ts">
	import { REASON_GROUPS, REASON_KINDS, REASON_TITLE, type ReasonKind } from '$core/triage';
	import { GROUP_COLOUR, GROUP_TEXT } from './reason-words';

	/** Everybody with open reasons, by what the most urgent of them is about. */
	interface Props {
		people: readonly { id: string; name: string; reasons: readonly ReasonKind[] }[];
		/** Who is open. */
		shown: string | null;
		href: (id: string) => string;
	}
	let { people, shown, href }: Props = $props();

	const groups = $derived(
		REASON_GROUPS.map((group) => ({
			group,
			of: people.filter(({ reasons }) => reasons[0] !== undefined && REASON_KINDS[reasons[0]] === group)
		})).filter(({ of }) => of.length > 0)
	);
</script>

{#each groups as { group, of } (group)}
	<h2 class="mt-4 flex items-baseline gap-2 text-[15px] first:mt-0">
		{GROUP_TEXT[group]} <span class="quiet text-sm font-normal">{of.length}</span>
	</h2>
	<ul class="border-base-content/70 border-t">
		{#each of as { id, name, reasons } (id)}
			<li class="border-base-300 border-b">
				<a
					href={href(id)}
					data-sveltekit-noscroll
					aria-current={id === shown ? 'true' : undefined}
					class={['flex items-stretch gap-2.5 py-1.5 pr-2', id === shown && 'bg-primary/10']}
				>
					<span class={['w-[3px] shrink-0 rounded', GROUP_COLOUR[group]]}></span>
					<span class="min-w-0">
						<span class="block font-semibold">{name}</span>
						<span class="quiet block text-[13px]"
							>{reasons.map((kind) => REASON_TITLE[kind].toLowerCase()).join(', ')}</span
						>
					</span>
				</a>
			</li>
		{/each}
	</ul>
{/each}
