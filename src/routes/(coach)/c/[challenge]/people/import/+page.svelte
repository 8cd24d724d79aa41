<script lang="ts">
	import { kitText } from '$core/kit';
	import { Submission } from '$lib/ui/submission.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { enhance } from '$app/forms';
	import { CELL_SHOWN, LEVELS, ROSTER_FIELDS } from '$core/people';
	import CopyText from '$lib/ui/CopyText.svelte';
	import { counted, placeOf } from '$lib/format';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const people = $derived(`/c/${data.challenge.id}/people`);
	const answer = $derived(
		form as {
			list?: string;
			message?: string;
			preview?: NonNullable<typeof form>['preview'];
			links?: { name: string; email: string; link: string }[];
			/** How many; their links are shown to the owner alone. */
			enrolled?: number;
		} | null
	);
	const preview = $derived(answer?.preview ?? null);
	const links = $derived(answer?.links ?? null);
	let list = $state('');
	const reading = new Submission();
	const enrolling = new Submission();
	$effect(() => {
		if (answer?.list !== undefined) list = answer.list;
	});
	/** Columns that no field is taken from. */
	const unused = $derived(
		(preview?.headings ?? []).flatMap((heading, i) =>
			Object.values(preview?.match ?? {}).includes(i) ? [] : [heading.trim() || `column ${i + 1}`]
		)
	);
	const bad = $derived(preview?.lines.filter((line) => line.row === null) ?? []);
	/** The cells that can be corrected, by the names of their fields. */
	const asTheyWere = $derived(
		bad.flatMap(({ line, faults }) =>
			faults.map(({ field, value }) => [`fix-${line}-${field}`, value] as const)
		)
	);
	const good = $derived(preview?.lines.filter((line) => line.row !== null) ?? []);
	const linkList = $derived(links?.map((row) => `${row.name}\t${row.email}\t${row.link}`).join('\n') ?? '');
	let fileInput: HTMLInputElement | undefined = $state();
	let copied = $state(false);
	/** People up to which each link has a row with a button of its own. */
	const MOST_ROWS = 100;

	const EXAMPLE =
		'name,email,time zone,level,equipment\nOren Falkestad,oren@hutseason.example,Europe/Lisbon,trained,pair of dumbbells 12 kg; mat\n';
	const FIELD_TEXT = {
		name: 'Name',
		email: 'Email address',
		zone: 'Time zone',
		country: 'Country',
		level: 'Level',
		equipment: 'Equipment'
	} as const;
</script>

{#snippet asRead()}
	<input type="hidden" name="list" value={list} />
	{#each ROSTER_FIELDS as field (field)}<input
			type="hidden"
			name="column-{field}"
			value={preview?.match[field] ?? ''}
		/>{/each}
{/snippet}
<svelte:head><title>Enrol from a list · {data.challenge.name}</title></svelte:head>
<p class="mb-1 text-sm"><a class="link-quiet" href={people}>People</a></p>
<h1 class="mb-3">Enrol from a list</h1>

{#if answer?.enrolled}
	<p class="remark max-w-4xl" role="status">
		<b>{counted(answer.enrolled, 'person', 'people')} enrolled.</b> Send their links by email from
		<a class="link-quiet" href={people}>People</a>.
	</p>
{:else if links}
	<section class="flex max-w-4xl flex-col gap-3">
		<p class="remark">
			<b>{counted(links.length, 'person', 'people')} enrolled.</b> Each has a personal link. Copy them now: only
			their fingerprints are kept, so they are not shown again. A lost link is made anew on the person’s page.
		</p>
		<div>
			<button
				class="btn btn-primary btn-sm"
				onclick={async () => {
					await navigator.clipboard.writeText(linkList);
					copied = true;
				}}>{copied ? 'Copied' : 'Copy all, one line a person'}</button
			>
			<a class="btn btn-ghost btn-sm" href={people}>To the people</a>
		</div>
		{#if links.length > MOST_ROWS}
			<label class="label-text" for="links">Name, email address and link, one line a person</label>
			<textarea id="links" class="textarea clock w-full text-[13px]" rows="24" wrap="off" readonly
				>{linkList}</textarea
			>
		{:else}
			<ul class="panel divide-base-300 divide-y">
				{#each links as row (row.link)}
					<li class="grid grid-cols-[14rem_minmax(0,1fr)] items-center gap-3 px-3 py-1.5">
						<span class="truncate"><b>{row.name}</b></span><CopyText text={row.link} label="Copy" />
					</li>
				{/each}
			</ul>
		{/if}
	</section>
{:else}
	<div class="grid items-start gap-5 xl:grid-cols-[26rem_minmax(0,1fr)]">
		<form
			method="post"
			action="?/preview"
			enctype="multipart/form-data"
			class="panel flex flex-col gap-3 p-4"
			use:enhance={reading.watch(async ({ update }) => {
				await update({ reset: false });
				// What was in the file stands in the box from here on.
				if (fileInput) fileInput.value = '';
			})}
		>
			<label class="label-text" for="list">Paste the list</label>
			<textarea
				id="list"
				name="list"
				rows="10"
				class="textarea clock w-full text-[13px]"
				spellcheck="false"
				placeholder={EXAMPLE}
				bind:value={list}></textarea>
			<label class="label-text" for="file">or choose a file (CSV, up to 6 MB)</label>
			<input
				id="file"
				bind:this={fileInput}
				name="file"
				type="file"
				accept=".csv,.tsv,.txt,text/csv"
				class="file-input file-input-sm w-full"
			/>
			{#if answer?.message}<p class="field-fault" role="alert">{answer.message}</p>{/if}
			{#if reading.cancel}<Working what="Reading the list …" cancel={reading.cancel} />
			{:else}<button class="btn btn-primary btn-sm">Preview</button>{/if}
			<p class="quiet text-sm">
				Headings in the first line help, but aren’t needed. Commas, semicolons and tabs are understood. Email
				is optional. Nothing is saved until you enrol.
			</p>
		</form>

		{#if preview}
			<section aria-label="Preview" class="flex flex-col gap-3">
				<p>
					<b class="text-lg">{preview.good}</b> can be enrolled{#if preview.bad > 0}, <b
							class="attention text-lg">{preview.bad}</b
						>
						{preview.bad === 1 ? 'has' : 'have'} problems{/if}.
					{#if preview.notes.length > 0}<span class="quiet">{preview.notes.join(' ')}</span>{/if}
					{#if unused.length > 0}<span class="quiet">Kept as your private notes: {unused.join(', ')}.</span
						>{/if}
				</p>
				<form
					method="post"
					action="?/preview"
					enctype="multipart/form-data"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
					class="panel grid grid-cols-2 gap-2 p-3 sm:grid-cols-6"
				>
					<input type="hidden" name="list" value={list} />
					{#each ROSTER_FIELDS as field (field)}
						<label class="text-sm"
							><span class="quiet block">{FIELD_TEXT[field]} is in</span>
							<select
								name="column-{field}"
								class="select select-sm w-full"
								value={preview.match[field] ?? ''}
								onchange={(event) => event.currentTarget.form?.requestSubmit()}
							>
								<option value="">no column</option>
								{#each preview.headings as heading, i (i)}<option value={i}
										>{heading || `column ${i + 1}`}</option
									>{/each}
							</select>
						</label>
					{/each}
				</form>
				<form
					method="post"
					action="?/accept"
					enctype="multipart/form-data"
					use:enhance={enrolling.watch(({ update }) => update({ reset: false }))}
					class="flex flex-wrap items-center gap-3"
				>
					{@render asRead()}
					<input type="hidden" name="goodOnly" value={preview.bad > 0 ? 'yes' : 'no'} />
					{#if preview.known.length > 0}
						<fieldset class="panel flex w-full max-w-3xl flex-col gap-2 p-3 text-sm">
							<legend class="font-semibold"
								>{counted(preview.known.length, 'person is', 'people are')} known from another challenge</legend
							>
							<ul>
								{#each preview.known as { email, name, differences } (email)}
									<li>
										<b>{name}</b> ({email}): {differences
											.map(({ what, known, listed }) => `${what} ${known}, in the list ${listed}`)
											.join('; ')}
									</li>
								{/each}
							</ul>
							{#if preview.knownCount > preview.known.length}<p class="quiet">
									The first {preview.known.length} of {preview.knownCount} are shown.
								</p>{/if}
							<label class="flex items-center gap-2"
								><input type="radio" class="radio radio-sm" name="updateKnown" value="no" checked /> Keep what you
								know of them</label
							>
							<label class="flex items-center gap-2"
								><input type="radio" class="radio radio-sm" name="updateKnown" value="yes" /> Use what the list
								says, in their other challenges too: results keep what they counted, days ahead follow the new time
								zone</label
							>
						</fieldset>
					{/if}
					{#if enrolling.cancel}<Working what="Enrolling …" />
					{:else}<button class="btn btn-primary" disabled={preview.good === 0}
							>{preview.bad > 0
								? `Enrol ${preview.good} of ${preview.good + preview.bad}`
								: `Enrol ${counted(preview.good, 'person', 'people')}`}</button
						>{/if}
					{#if preview.bad > 0}<span class="quiet text-sm"
							>or correct them below, or in the list on the left</span
						>{/if}
				</form>
				{#if bad.length > 0}
					<form
						method="post"
						action="?/preview"
						enctype="multipart/form-data"
						use:enhance={({ formData }) => {
							// What was left as it is says nothing.
							for (const [name, value] of asTheyWere) if (formData.get(name) === value) formData.delete(name);
							return ({ update }) => update({ reset: false });
						}}
						class="panel"
					>
						{@render asRead()}
						<table class="sheet text-sm">
							<thead><tr><th class="pl-3">Line</th><th>Problem</th><th>Correct it here</th></tr></thead>
							<tbody>
								{#each bad as line (line.line)}
									{#each line.faults as fault (fault.field)}
										<tr>
											<td class="pl-3 align-top font-bold">{line.line}</td>
											<td class="align-top"
												><span class="quiet">{FIELD_TEXT[fault.field]}:</span>
												{fault.message}</td
											>
											<td class="w-72">
												{#if preview.match[fault.field] === null}<span class="quiet"
														>choose its column above</span
													>
												{:else if fault.value.length >= CELL_SHOWN}<span class="quiet"
														>too long to correct here; correct it in the list</span
													>
												{:else}
													<input
														class="input input-sm w-full"
														name="fix-{line.line}-{fault.field}"
														aria-label="{FIELD_TEXT[fault.field]} in line {line.line}"
														value={fault.value}
														list={fault.field === 'level' ? 'levels' : undefined}
													/>
													{#if fault.suggestion}{@const right = fault.suggestion}
														<button
															class="link-quiet"
															onclick={(event) => {
																const input =
																	event.currentTarget.parentElement?.querySelector<HTMLInputElement>('input');
																if (input) input.value = right;
															}}>Use {right}</button
														>{/if}
												{/if}
											</td>
										</tr>
									{/each}
								{/each}
							</tbody>
						</table>
						<datalist id="levels"
							>{#each LEVELS as level (level)}<option value={level}></option>{/each}</datalist
						>
						<p class="p-3"><button class="btn btn-outline btn-sm">Apply corrections</button></p>
					</form>
					{#if preview.bad > bad.length}<p class="quiet text-sm">
							The first {bad.length} of {preview.bad} are shown.
						</p>{/if}
				{/if}
				{#if good.length > 0}
					<table class="sheet panel text-sm">
						<thead
							><tr
								><th class="pl-3">Line</th><th>Name</th><th>Email address</th><th>Time zone</th><th>Level</th
								><th>Equipment</th></tr
							></thead
						>
						<tbody>
							{#each good as line (line.line)}
								{#if line.row}<tr
										><td class="quiet pl-3">{line.line}</td><td class="font-semibold">{line.row.name}</td><td
											>{line.row.email}</td
										><td
											>{placeOf(line.row.zone)}{#each line.taken ?? [] as taken (taken)}<span
													class="quiet block">{taken}</span
												>{/each}</td
										><td>{line.row.level}</td><td class="quiet"
											>{kitText(line.row.kit)}{#if line.row.unread.length > 0}<span class="attention block"
													>not understood, kept as written: {line.row.unread.join('; ')}</span
												>{/if}</td
										></tr
									>{/if}
							{/each}
						</tbody>
					</table>
					{#if preview.good > good.length}<p class="quiet text-sm">
							The first {good.length} of {preview.good} are shown.
						</p>{/if}
				{/if}
			</section>
		{/if}
	</div>
{/if}
