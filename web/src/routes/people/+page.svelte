<script lang="ts">
	/** The shop's people: who may sign in, as what, and the codes that let them. */
	import { label } from '@zinc-ledger/words';
	import { ROLES, type Role } from '$lib/access/roles';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Select from '$lib/ui/Select.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	useKeys([]);
	const options = ROLES.map((role) => ({ value: role, label: label('role', role) }));
	/** Roles as they are chosen here, before they are sent. */
	let chosen = $state<Record<string, Role>>({});
	type Colleague = (typeof data.people)[number];
	const signsIn = ({ role, ended }: Colleague) => role !== null && !ended;
	const roleOf = (one: Colleague): Role => chosen[one.id] ?? one.role ?? 'machinist';
</script>

<svelte:head><title>People · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-6 bench:px-8">
	<div class="flex flex-wrap items-baseline gap-4">
		<h1 class="text-2xl font-semibold">People</h1>
		<a class="ml-auto flex min-h-11 items-center underline" href="/audit">What was done</a>
	</div>
	<Alert problem={form?.message} class="mt-2" />
	{#if form?.invited}
		{@const { name, code, link, picture } = form.invited}
		<section
			role="status"
			aria-label="Code for {name}"
			class="mt-3 flex flex-wrap items-center gap-6 border-l-4 border-chromate bg-sunk p-4"
		>
			<!-- The server drew it: dark on light whatever the scheme, for cameras. -->
			<!-- eslint-disable-next-line svelte/no-at-html-tags -->
			<div class="size-28 bg-white p-1.5">{@html picture}</div>
			<div class="min-w-0">
				<p>For <b>{name}</b>, once, within three days. It is shown only now.</p>
				<p class="figure mt-1 text-xl font-semibold" data-code>{code}</p>
				<p class="mt-1 text-[13px] break-all text-soft">{link}</p>
			</div>
		</section>
	{/if}
	<div class="mt-4 grid gap-x-12 gap-y-8 bench:grid-cols-[minmax(0,1fr)_18rem]">
		<ul class="border-t-2 border-ink">
			{#each data.people as one (one.id)}
				<li
					class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-1.5"
					data-person={one.initials}
				>
					<b class="figure w-12">{one.initials}</b>
					<span class="min-w-40 flex-1">
						{one.name}
						<span class="block text-[13px] text-soft">
							{#if signsIn(one)}
								{one.userName}{one.hasPin ? ', with a PIN' : ', no PIN'}
							{:else}
								{one.ended ? 'sign-in ended' : 'no sign-in'}
							{/if}
						</span>
					</span>
					<form
						method="POST"
						action="?/role"
						use:sendForm={{ reset: false }}
						class="flex flex-wrap items-center gap-2"
					>
						<input type="hidden" name="person" value={one.id} />
						<Select
							{options}
							name="role"
							aria-label="Role of {one.name}"
							bind:value={() => roleOf(one), (role) => (chosen[one.id] = role)}
						/>
						{#if signsIn(one)}
							<Button disabled={roleOf(one) === one.role}>Change</Button>
							<Button look="quiet" class="whitespace-nowrap" formaction="?/invite"
								>New password</Button
							>
							<Button look="quiet" class="whitespace-nowrap" formaction="?/end">End sign-in</Button>
						{:else}
							<Button formaction="?/invite">Invite</Button>
						{/if}
					</form>
				</li>
			{/each}
		</ul>
		<form method="POST" action="?/add" use:sendForm class="space-y-4">
			<h2 class="border-b-2 border-ink pb-1 font-semibold">Somebody new</h2>
			<TextField label="Name" name="name" value={form?.name ?? ''} problem={form?.problems?.name} />
			<TextField
				label="Initials"
				name="initials"
				value={form?.initials ?? ''}
				problem={form?.problems?.initials}
				figure
			/>
			<Button look="main">Add</Button>
			<dl class="pt-4 text-[13px] text-soft">
				<dt class="font-semibold text-ink">reader</dt>
				<dd>reads everything, changes nothing</dd>
				<dt class="mt-1 font-semibold text-ink">helper</dt>
				<dd>measures, assembles, ticks; accepts no stop and signs nothing</dd>
				<dt class="mt-1 font-semibold text-ink">machinist</dt>
				<dd>everything on jobs, parts, kits and springs; signs</dd>
				<dt class="mt-1 font-semibold text-ink">owner</dt>
				<dd>people, policies and gauges besides</dd>
			</dl>
		</form>
	</div>
</main>
