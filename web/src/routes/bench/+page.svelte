<script lang="ts">
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { page } from '$app/state';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data, form } = $props();
	useKeys([]);
	const search = $derived(page.url.search.replace('?', '&'));
	/** Who is asked for the PIN. */
	let chosen = $state<string | null>(null);
	const asked = $derived(chosen ?? form?.person ?? null);
</script>

<svelte:head><title>Operator · Zinc Ledger</title></svelte:head>

{#snippet who(person: { initials: string; name: string })}
	<span class="figure w-12 font-semibold">{person.initials}</span>{person.name}
{/snippet}

<main id="main" class="flex-1 overflow-auto bg-paper px-10 py-8">
	<h1 class="text-2xl font-semibold">Select operator</h1>
	<p class="mt-1 text-soft">Every reading and decision made here will carry this name.</p>
	<div class="mt-6 grid max-w-4xl gap-x-14 gap-y-8 bench:grid-cols-[1fr_20rem]">
		<form method="POST" action="?/pick{search}" use:sendForm>
			{#if !data.byPin}<Alert problem={form?.pick} class="mb-2" />{/if}
			<ul class="border-t-2 border-ink">
				{#each data.people as person (person.id)}
					<li class="border-b border-hair">
						{#if data.byPin}
							<Button
								type="button"
								look="row"
								aria-current={data.person?.id === person.id}
								aria-expanded={asked === person.id}
								class="min-h-12 gap-4 px-3 hover:bg-sunk aria-[current=true]:bg-chromate-wash"
								onclick={() => (chosen = person.id)}
							>
								{@render who(person)}
							</Button>
							{#if asked === person.id}
								<div class="flex items-start gap-3 px-3 py-2">
									<input type="hidden" name="person" value={person.id} />
									<TextField
										label="PIN of {person.initials}"
										name="pin"
										type="password"
										inputmode="numeric"
										autocomplete="off"
										problem={form?.person === person.id ? form.pick : null}
										value=""
										figure
										class="w-40"
										autofocus
									/>
									<Button look="main" class="mt-6">Take over</Button>
								</div>
							{/if}
						{:else}
							<Button
								look="row"
								name="person"
								value={person.id}
								aria-current={data.person?.id === person.id}
								class="min-h-12 gap-4 px-3 hover:bg-sunk aria-[current=true]:bg-chromate-wash"
							>
								{@render who(person)}
							</Button>
						{/if}
					</li>
				{:else}
					<li class="border-b border-hair py-3 text-soft">
						{data.byPin
							? 'Nobody has a PIN yet: each sets one under “Your sign-in”.'
							: 'Nobody yet. Add the first name.'}
					</li>
				{/each}
			</ul>
		</form>
		{#if !data.byPin}
			<form method="POST" action="?/add{search}" use:sendForm class="space-y-4">
				<h2 class="font-semibold">New operator</h2>
				<TextField
					label="Name"
					problem={form?.problems?.name}
					name="name"
					value={form?.name ?? ''}
				/>
				<TextField
					label="Initials"
					problem={form?.problems?.initials}
					name="initials"
					value={form?.initials ?? ''}
					figure
				/>
				<Button look="main">Add and use</Button>
			</form>
		{:else if data.person}
			<form method="POST" action="?/leave" use:sendForm>
				<p class="text-[13px] text-soft">
					{data.person.name} is at this bench. It is left alone after two hours without use.
				</p>
				<Button class="mt-2">Leave the bench</Button>
			</form>
		{/if}
	</div>
</main>
