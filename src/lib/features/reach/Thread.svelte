<script lang="ts">
	import type { Message } from '$contracts/message';
	import { dayAndTimeIn } from '$lib/format';

	/** What two have written to each other, the newest last. */
	interface Props {
		messages: readonly Message[];
		/** Of whoever reads it. */
		zone: string;
		/** Which side reads it. */
		side: 'coach' | 'participant';
		/** Of several coaches the one who reads it, by name. */
		me?: string;
	}
	let { messages, zone, side, me }: Props = $props();

	const byWhom = ({ by }: Message, own: boolean): string => {
		if (own) return side === 'participant' || by === me ? 'You' : (by ?? 'a coach who has left');
		return by ?? 'your coach';
	};
</script>

<ol class="flex flex-col gap-2">
	{#each messages as message (message.id)}
		{@const own = message.byCoach === (side === 'coach')}
		<li class={['border-l-[3px] py-1 pl-3', own ? 'border-base-300' : 'border-primary']}>
			<p class="quiet text-[13px]">
				{byWhom(message, own)}{message.aboutDay === null
					? ''
					: ` about day ${message.aboutDay}`}{message.toSeveral ? ', to several' : ''}, {dayAndTimeIn(
					zone,
					message.at
				)}{#if own}{message.readAt === null
						? ', not read yet'
						: `, read ${dayAndTimeIn(zone, message.readAt)}`}{/if}
			</p>
			{#if message.html}
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- made tidy by the server before it is kept -->
				<div class="rich break-words">{@html message.html}</div>
			{:else}<p class="break-words whitespace-pre-line">{message.text}</p>{/if}
		</li>
	{/each}
</ol>
