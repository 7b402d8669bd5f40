<script lang="ts">
	/** A second factor beside one's password: set up with a phone, shown to work before it counts, turned off. */
	import type { Message } from '@zinc-ledger/core';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import Button from '$lib/ui/Button.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { Offered } from './access';
	import PasswordField from './PasswordField.svelte';

	interface Props {
		isOn: boolean;
		/** What a phone is to keep, while it is being set up. */
		offered?: Offered | undefined;
		problems?: { readonly present?: Message; readonly code?: Message } | undefined;
		changed: boolean;
	}
	let { isOn, offered, problems, changed }: Props = $props();
</script>

{#snippet code()}
	<TextField
		label="Code of your phone"
		name="code"
		value=""
		problem={problems?.code}
		inputmode="numeric"
		autocomplete="one-time-code"
		figure
	/>
{/snippet}

<section class="space-y-4" aria-labelledby="second-factor">
	<h2 id="second-factor" class="border-b-2 border-ink pb-1 font-semibold">Second factor</h2>
	{#if isOn}
		<p class="text-[13px] text-soft">
			Your phone's code is asked for at every sign-in. Phone lost? An owner's code for a new
			password turns it off.
		</p>
		<form method="POST" action="?/secondOff" use:sendForm={{ reset: false }} class="space-y-4">
			{@render code()}
			<PasswordField label="Present password" name="present" problem={problems?.present} />
			<Button>Turn off</Button>
		</form>
	{:else if offered}
		<form method="POST" action="?/secondOn" use:sendForm={{ reset: false }} class="space-y-4">
			<p class="text-[13px] text-soft">
				Point an app for one-time codes at this, or type it in; then give the code it shows.
			</p>
			<div class="flex flex-wrap items-start gap-4">
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by our own server -->
				<div class="size-32 bg-white p-1.5">{@html offered.picture}</div>
				<p class="figure max-w-40 text-[13px] break-all" data-secret>{offered.secret}</p>
			</div>
			<input type="hidden" name="secret" value={offered.secret} />
			{@render code()}
			<PasswordField label="Present password" name="present" problem={problems?.present} />
			<Button>Turn on</Button>
		</form>
	{:else}
		<p class="text-[13px] text-soft">
			A code that your phone works out, asked for beside the password. For owners above all: they
			decide who is who.
		</p>
		<form method="POST" action="?/offer" use:sendForm><Button>Set up</Button></form>
	{/if}
	{#if changed}<p role="status" class="text-[13px]">{isOn ? 'Turned on.' : 'Turned off.'}</p>{/if}
</section>
