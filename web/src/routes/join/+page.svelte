<script lang="ts">
	/** A code becomes a sign-in: user name, password, and a PIN for shared benches. */
	import PasswordField from '$lib/access/PasswordField.svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { untrack } from 'svelte';
	import { label } from '@zinc-ledger/words';

	let { data, form } = $props();
	useKeys([]);
	const invitation = $derived(data.invitation);
	const problems = $derived<Record<string, string | undefined>>(form?.problems ?? {});
	let userName = $state(untrack(() => form?.values.userName ?? data.invitation?.userName ?? ''));
	const NEW = 'new';
	let who = $state(untrack(() => form?.values.person || NEW));
	const people = $derived([
		{ value: NEW, label: 'somebody new' },
		...(data.known ?? []).map(({ id, name, initials }) => ({
			value: id,
			label: `${initials} · ${name}`
		}))
	]);
</script>

<svelte:head><title>Use a code · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-8 tablet:px-10">
	{#if invitation}
		<h1 class="text-2xl font-semibold">
			{invitation.person ? `Welcome, ${invitation.person.name}` : 'The shop’s owner'}
		</h1>
		<p class="mt-1 text-soft">You will be signed in as {label('role', invitation.role)}.</p>
		<form method="POST" use:sendForm={{ reset: false }} class="mt-5 max-w-xs">
			<Alert problem={form?.message} class="mb-3" />
			<input type="hidden" name="code" value={data.code} />
			<div class="space-y-4">
				{#if !invitation.person}
					{#if people.length > 1}
						<SelectField label="Who are you?" name="person" options={people} bind:value={who} />
					{/if}
					{#if who === NEW}
						<TextField
							label="Name"
							name="name"
							value={form?.values.name ?? ''}
							problem={problems.name}
						/>
						<TextField
							label="Initials"
							name="initials"
							value={form?.values.initials ?? ''}
							problem={problems.initials}
							figure
						/>
					{/if}
				{/if}
				<TextField
					label="User name"
					name="userName"
					bind:value={userName}
					problem={problems.userName}
					autocomplete="username"
					autocapitalize="none"
					maxlength={40}
				/>
				<PasswordField
					label="Password"
					name="password"
					problem={problems.password}
					isNew
					names={[userName, invitation.person?.name ?? '']}
				/>
				<TextField
					label="PIN for shared benches, if you work at one"
					name="pin"
					type="password"
					inputmode="numeric"
					value=""
					problem={problems.pin}
					hint="4 to 8 digits"
					autocomplete="off"
					figure
				/>
				<Button look="main">Sign in</Button>
			</div>
		</form>
	{:else}
		<h1 class="text-2xl font-semibold">Use a code</h1>
		<p class="mt-1 max-w-prose text-soft">
			An owner hands it out, for a first sign-in or a new password. It holds once, for three days.
		</p>
		<form method="GET" class="mt-5 max-w-xs space-y-4">
			<TextField
				label="Code"
				name="code"
				value={data.code}
				problem={data.unknown}
				figure
				autocapitalize="characters"
				autocomplete="one-time-code"
			/>
			<Button look="main">Next</Button>
		</form>
	{/if}
</main>
