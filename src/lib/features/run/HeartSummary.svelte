<script lang="ts">
	import { BANDS, summaryOf, type Beat, type HeartOf } from '$core/heart';
	import { clockText } from '$core/session';
	import { heartCsv, readHeartCsv } from '$lib/heart/heart-file';

	/** What the session was for the heart: time in each band, a file out, and a file in. */
	interface Props {
		beats: Beat[];
		who: HeartOf | null;
		/** Of the file: `day-24`. */
		file: string;
		onread: (beats: Beat[]) => void;
	}
	let { beats, who, file, onread }: Props = $props();
	const summary = $derived(who && summaryOf(beats, who));
	const longest = $derived(summary ? Math.max(...Object.values(summary.bands)) : 1);
	let trouble = $state<{ line: number; message: string }[]>([]);

	function save() {
		const url = URL.createObjectURL(new Blob([heartCsv(beats)], { type: 'text/csv' }));
		const link = document.createElement('a');
		link.href = url;
		link.download = `${file}-heart-rate.csv`;
		link.click();
		URL.revokeObjectURL(url);
	}
	async function read({ currentTarget }: Event & { currentTarget: HTMLInputElement }) {
		const [chosen] = currentTarget.files ?? [];
		currentTarget.value = '';
		if (!chosen) return;
		if (chosen.size > 4_000_000) {
			trouble = [{ line: 1, message: 'the file is larger than 4 MB' }];
			return;
		}
		const { beats: found, faults } = readHeartCsv(await chosen.text());
		trouble = faults;
		if (faults.length === 0) onread(found);
	}
</script>

<section class="panel p-4" aria-labelledby="heart-done">
	<h2 id="heart-done" class="text-xl">Heart rate</h2>
	{#if summary}
		<p class="text-lg">
			<b>{Math.round(summary.average)}</b> beats a minute on average, highest
			<b>{Math.round(summary.highest)}</b>
		</p>
		<table class="mt-2 w-full text-[15px]">
			<thead class="sr-only"><tr><th>Band</th><th>Time</th></tr></thead>
			<tbody>
				{#each BANDS as band (band)}
					<tr
						><th class="py-1 pr-3 text-left font-normal whitespace-nowrap">{band}</th><td class="w-full"
							><span
								class="bg-primary block h-3"
								style:width="{(100 * summary.bands[band]) / Math.max(1, longest)}%"
							></span></td
						><td class="pl-2 text-right whitespace-nowrap">{clockText(summary.bands[band])}</td></tr
					>
				{/each}
			</tbody>
		</table>
		<p class="quiet mt-2 text-[15px]">
			These figures go with your check-in, for you and your coach. The single values stay on this device.
		</p>
	{:else}
		<p class="quiet text-[15px]">
			{who
				? 'Nothing was recorded here. A file with the columns time and bpm can be read.'
				: 'Nothing was recorded here. To read a file of another device, say your age under Heart rate before a start.'}
		</p>
	{/if}
	{#each trouble as one (one.line)}<p class="remark remark-attention mt-2" role="alert">
			Line {one.line}: {one.message}.
		</p>{/each}
	<div class="mt-2 flex flex-wrap gap-2">
		{#if beats.length > 0}<button class="btn btn-outline min-h-11" onclick={save}>Download heart rate</button
			>{/if}
		{#if who}<label class="btn btn-ghost min-h-11 has-focus-visible:outline-2"
				>Read a file<input class="sr-only" type="file" accept=".csv,text/csv" onchange={read} /></label
			>{/if}
	</div>
</section>
