<script lang="ts">
	import { onMount } from 'svelte';
	import { message } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { page } from '$app/state';
	import { forgetPages } from '$lib/access/kept-pages';
	import PasswordField from '$lib/access/PasswordField.svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { form } = $props();
	useKeys([]);
	let atBench = $state(false);
	onMount(() => void forgetPages());
</script>

<svelte:head><title>Sign in · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-8 tablet:px-10">
	<h1 class="text-2xl font-semibold">Sign in</h1>
	<form
		method="POST"
		action={page.url.search}
		use:sendForm={{ reset: false }}
		class="mt-5 max-w-xs"
	>
		<Alert problem={form?.problem} class="mb-3" />
		<div class="space-y-4">
			<TextField
				label="User name"
				name="userName"
				value={form?.userName ?? ''}
				autocomplete="username"
				autocapitalize="none"
				maxlength={40}
			/>
			<PasswordField label="Password" name="password" />
			{#if form?.asksCode}
				<TextField
					label="Code of your phone"
					hint={tell(message('access.code-wanted'))}
					name="code"
					value=""
					inputmode="numeric"
					autocomplete="one-time-code"
					figure
					autofocus
				/>
			{/if}
			<Checkbox bind:checked={atBench}>Several of us work at this bench</Checkbox>
			{#if atBench}
				<input type="hidden" name="bench" value="yes" />
				<p class="text-[13px] text-soft">
					It stays signed in for the working day; people change here by PIN.
				</p>
			{/if}
			<Button look="main">Sign in</Button>
		</div>
	</form>
	<p class="mt-6 max-w-prose text-[13px] text-soft">
		Invited, or password forgotten? An owner of the shop hands out a code:
		<a class="underline" href="/join">use a code</a>.
	</p>
</main>
