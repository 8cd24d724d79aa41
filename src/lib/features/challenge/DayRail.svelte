<script lang="ts">
	import type { DayKind } from '$core/calendar';
	import { dayText } from '$lib/format';
	import { KIND_TEXT } from '$lib/ui/marks';

	export interface RailDay {
		day: number;
		date: string;
		kind: DayKind;
		/** Sum of credits over the people for whom the day counts. */
		credit: number;
		people: number;
		/** Why nobody does it; null: they do. */
		cancelled: string | null;
	}

	/** The line of days: tick shape is the kind of day, its filling the share of the group that has done it. */
	let {
		days,
		today,
		asOf,
		halfway,
		href
	}: {
		days: RailDay[];
		today: number | null;
		asOf: number | null;
		/** The middle session’s day. */
		halfway: number | null;
		href: (day: number) => string;
	} = $props();

	const TALL = 30;
	const weeks = $derived(
		Array.from({ length: Math.ceil(days.length / 7) }, (_, w) => days.slice(w * 7, w * 7 + 7))
	);
	const share = (day: RailDay) => (day.people > 0 ? day.credit / day.people : 0);

	function textOf(day: RailDay): string {
		const head = `Day ${day.day}, ${dayText(day.date)}, ${KIND_TEXT[day.kind]}${day.day === halfway ? ', halfway' : ''}`;
		if (day.cancelled !== null) return `${head}, cancelled: ${day.cancelled}`;
		if (day.kind === 'rest') return head;
		if (day.people === 0) return `${head}, not open yet`;
		return `${head}, ${Math.round(share(day) * 100)} % done by ${day.people} people`;
	}
</script>

<nav
	aria-label="Days of the challenge"
	class="bg-base-100 border-base-content flex overflow-x-auto border-b px-2 print:hidden"
>
	{#each weeks as week, w (w)}
		<div
			class={[
				'border-base-300 min-w-fit flex-1 border-l py-0.5 first:border-l-0',
				weeks.length > 6 ? 'px-0.5' : 'px-1.5'
			]}
		>
			<p class="quiet text-[12px] leading-4 whitespace-nowrap" aria-hidden="true">week {w + 1}</p>
			<ol class="flex justify-between">
				{#each week as day (day.day)}
					{@const marked = day.day === asOf}
					<li class="flex flex-1 justify-center first:justify-start">
						<a
							href={href(day.day)}
							aria-current={marked ? 'date' : undefined}
							aria-label={textOf(day)}
							title={textOf(day)}
							data-sveltekit-noscroll
							class={[
								'flex h-[57px] w-full max-w-[22px] min-w-[13px] flex-col items-center justify-end rounded-[3px] border pb-0.5',
								marked ? 'border-base-content' : 'border-transparent hover:border-base-300'
							]}
						>
							<svg
								width="12"
								class="shrink-0"
								height={TALL + 9}
								viewBox="1 0 12 {TALL + 9}"
								aria-hidden="true"
							>
								<g transform="translate(0 9)">
									{#if day.kind === 'rest'}
										<rect x="2" y={TALL - 2} width="10" height="1.5" class="faint-fill" />
									{:else if day.kind === 'active-rest'}
										<rect x="2.5" y={TALL - 9.5} width="9" height="9" class="tick" />
										<rect x="2" y={TALL - 9 * share(day)} width="10" height={9 * share(day)} class="work" />
									{:else}
										<rect
											x="2.5"
											y="0.5"
											width="9"
											height={TALL - 1}
											class="tick"
											stroke-dasharray={day.kind === 'cardio' ? '2 2' : undefined}
										/>
										<rect
											x="2"
											y={TALL * (1 - share(day))}
											width="10"
											height={TALL * share(day)}
											class={day.kind === 'test' ? 'test' : 'work'}
										/>
									{/if}
									{#if day.cancelled !== null && day.kind !== 'rest'}<path
											d="M1.5 {TALL / 2} H12.5"
											class="strike"
										/>{/if}
									{#if day.kind === 'test'}<path d="M7 -9 L10.5 -5.5 L7 -2 L3.5 -5.5 Z" class="test" />{/if}
								</g>
							</svg>
							<span
								class={[
									'w-full text-center text-[12px] leading-4 whitespace-nowrap',
									marked || day.day === today ? 'font-bold' : 'quiet'
								]}
							>
								{#if marked || day.day === today}{day.day}{:else}&nbsp;{/if}
							</span>
						</a>
					</li>
				{/each}
			</ol>
		</div>
	{/each}
</nav>

<style>
	.work {
		fill: var(--color-primary);
	}
	.test {
		fill: var(--color-secondary);
	}
	.tick {
		fill: none;
		stroke: color-mix(in srgb, var(--color-base-content) 30%, transparent);
	}
	.strike {
		stroke: var(--color-base-content);
		stroke-width: 1.5;
	}
	.faint-fill {
		fill: color-mix(in srgb, var(--color-base-content) 35%, transparent);
	}
</style>
