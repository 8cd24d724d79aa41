<script lang="ts">
	import { enhance } from '$app/forms';
	import CopyText from '$lib/ui/CopyText.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { counted } from '$lib/format';

	interface Props {
		/** Since when it is on, in words; null when it is off. */
		since: string | null;
		codesLeft: number;
		/** What was offered and waits for its first code. */
		offer: { secret: string; picture: { size: number; path: string } } | null;
		/** Recovery codes just made: shown now and never again. */
		codes: string[] | null;
		fault?: string;
	}
	let { since, codesLeft, offer, codes, fault }: Props = $props();
	const FEW = 3;
</script>

<section class="panel flex flex-col gap-3 p-4" aria-labelledby="two-step">
	<h2 id="two-step">Two-step sign-in</h2>
	{#if codes}
		<div class="remark flex flex-col gap-2" role="status">
			<p>
				<b>Save these recovery codes.</b> Each signs you in once if you lose your phone. They aren’t shown again.
			</p>
			<ul class="clock grid grid-cols-2 gap-x-8 gap-y-1 text-sm">
				{#each codes as code (code)}<li>{code}</li>{/each}
			</ul>
			<CopyText text={codes.join('\n')} label="Copy all" field={false} />
		</div>
	{/if}
	{#if since !== null}
		<p>
			On since {since}. Signing in takes your password and a code from your authenticator app.
			<span class:attention={codesLeft < FEW}>{counted(codesLeft, 'recovery code')} left.</span>
		</p>
		<div class="flex flex-wrap gap-2">
			<form method="post" action="?/codes" use:enhance>
				<button class="btn btn-outline btn-sm">Make new recovery codes</button>
			</form>
			<form method="post" action="?/turnOff" use:enhance>
				<button class="btn btn-outline btn-sm">Turn off two-step sign-in</button>
			</form>
		</div>
	{:else if offer}
		<div class="grid items-start gap-5 sm:grid-cols-[11rem_1fr]">
			<svg
				viewBox="-3 -3 {offer.picture.size + 6} {offer.picture.size + 6}"
				class="w-44 rounded bg-white"
				role="img"
				aria-label="QR code with the key of your account"
				shape-rendering="crispEdges"><path d={offer.picture.path} fill="#000" /></svg
			>
			<div class="flex flex-col gap-3">
				<p>1. Scan this with an authenticator app, or type the key into it:</p>
				<p class="clock text-sm break-all">{offer.secret.replace(/(.{4})/g, '$1 ').trim()}</p>
				<form method="post" action="?/turnOn" use:enhance class="flex flex-col gap-3">
					<Field label="2. Enter the six digits it shows" id="code" {fault}>
						<input
							id="code"
							name="code"
							inputmode="numeric"
							autocomplete="one-time-code"
							maxlength="12"
							required
							class="input clock w-40"
						/>
					</Field>
					<div class="flex gap-2">
						<button class="btn btn-primary btn-sm">Turn on two-step sign-in</button>
						<button class="btn btn-ghost btn-sm" formaction="?/turnOff" formnovalidate>Cancel</button>
					</div>
				</form>
			</div>
		</div>
	{:else}
		<p>
			Off. With it, somebody who finds out your password still can’t get in: signing in also takes a code from
			an authenticator app on your phone.
		</p>
		<form method="post" action="?/offer" use:enhance>
			<button class="btn btn-primary btn-sm">Set up two-step sign-in</button>
		</form>
	{/if}
</section>
