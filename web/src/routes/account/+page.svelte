<script lang="ts">
	/** One's own sign-in: password, PIN, and out of it. */
	import { label } from '@zinc-ledger/words';
	import { PASSWORD_LEAST } from '$lib/access/roles';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	useKeys([]);
	const SECRETS = [
		{
			which: 'password',
			title: 'Password',
			hint: `${PASSWORD_LEAST} characters or more; spaces and any letters do`
		},
		{ which: 'pin', title: 'PIN', hint: 'for shared benches: 4 to 8 digits' }
	] as const;
</script>

<svelte:head><title>Your sign-in · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-8 tablet:px-10">
	<h1 class="text-2xl font-semibold">Your sign-in</h1>
	{#if data.person && data.access.role}
		<p class="mt-1 text-soft">
			{data.person.name}, {data.userName}, {label('role', data.access.role)}
			{data.atBench ? '· at a shared bench' : ''}
		</p>
	{/if}
	<Alert problem={form?.message} class="mt-3" />
	{#if data.person}
		<div class="mt-6 grid max-w-3xl gap-x-14 gap-y-8 bench:grid-cols-2">
			{#each SECRETS as { which, title, hint } (which)}
				{@const problems = form?.which === which ? form.problems : undefined}
				<form method="POST" action="?/{which}" use:sendForm class="space-y-4" aria-label={title}>
					<h2 class="border-b-2 border-ink pb-1 font-semibold">{title}</h2>
					<TextField
						label="Present password"
						name="present"
						type="password"
						value=""
						problem={problems?.present}
						autocomplete="current-password"
					/>
					<TextField
						label="New {which === 'pin' ? 'PIN' : 'password'}"
						name="secret"
						type="password"
						inputmode={which === 'pin' ? 'numeric' : 'text'}
						value=""
						problem={problems?.secret}
						{hint}
						autocomplete={which === 'pin' ? 'off' : 'new-password'}
					/>
					<Button>Change</Button>
					{#if form?.changed === which}<span role="status" class="ml-3 text-[13px]">Changed.</span
						>{/if}
				</form>
			{/each}
		</div>
	{/if}
	<div class="mt-8 flex flex-wrap items-center gap-3">
		<form method="POST" action="?/out" use:sendForm>
			<Button look="main">{data.atBench ? 'Sign this bench out' : 'Sign out'}</Button>
		</form>
		{#if data.person}
			<form method="POST" action="?/everywhere" use:sendForm>
				<Button>Sign out everywhere</Button>
			</form>
		{/if}
	</div>
</main>
