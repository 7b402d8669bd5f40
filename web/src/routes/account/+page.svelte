<script lang="ts">
	/** One's own sign-in: password, PIN, and out of it. */
	import { label } from '@zinc-ledger/words';
	import Acts from '$lib/access/Acts.svelte';
	import SecondFactor from '$lib/access/SecondFactor.svelte';
	import PasswordField from '$lib/access/PasswordField.svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	useKeys([]);
	const SECRETS = [
		{ which: 'password', title: 'Password' },
		{ which: 'pin', title: 'PIN' }
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
		<div class="mt-6 grid max-w-5xl gap-x-12 gap-y-8 bench:grid-cols-3">
			{#each SECRETS as { which, title } (which)}
				{@const problems = form?.which === which ? form.problems : undefined}
				<form method="POST" action="?/{which}" use:sendForm class="space-y-4" aria-label={title}>
					<h2 class="border-b-2 border-ink pb-1 font-semibold">{title}</h2>
					<PasswordField label="Present password" name="present" problem={problems?.present} />
					{#if which === 'pin'}
						<TextField
							label="New PIN"
							name="secret"
							type="password"
							inputmode="numeric"
							value=""
							problem={problems?.secret}
							hint="for shared benches: 4 to 8 digits"
							autocomplete="off"
						/>
					{:else}
						<PasswordField
							label="New password"
							name="secret"
							problem={problems?.secret}
							isNew
							names={[data.userName ?? '', data.person.name]}
						/>
					{/if}
					<Button>Change</Button>
					{#if form?.changed === which}<span role="status" class="ml-3 text-[13px]">Changed.</span
						>{/if}
				</form>
			{/each}
			<SecondFactor
				isOn={data.hasSecond}
				offered={form?.offered}
				problems={form?.which === 'second' ? form.problems : undefined}
				changed={form?.changed === 'second'}
			/>
		</div>
	{/if}
	{#if data.acts.length}
		<h2 class="mt-8 mb-2 font-semibold">Lately</h2>
		<Acts acts={data.acts} />
		<p class="mt-2 max-w-prose text-[13px] text-soft">
			Not you? Change password and PIN, which signs out every other browser, and tell an owner.
		</p>
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
