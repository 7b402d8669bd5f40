<script lang="ts">
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { page } from '$app/state';
	import { useKeys } from '$lib/keys/keys.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data, form } = $props();
	useKeys([]);
	const search = $derived(page.url.search.replace('?', '&'));
</script>

<svelte:head><title>Operator · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-10 py-8">
	<h1 class="text-2xl font-semibold">Select operator</h1>
	<p class="mt-1 text-soft">Every reading and decision made here will carry this name.</p>
	<div class="mt-6 grid max-w-4xl gap-x-14 gap-y-8 bench:grid-cols-[1fr_20rem]">
		<form method="POST" action="?/pick{search}" use:sendForm>
			{#if form?.pick}<p class="mb-2 font-semibold text-stop">{form.pick}</p>{/if}
			<ul class="border-t-2 border-ink">
				{#each data.people as person (person.id)}
					<li class="border-b border-hair">
						<Button
							look="row"
							name="person"
							value={person.id}
							aria-current={data.person?.id === person.id}
							class="min-h-12 gap-4 px-3 hover:bg-sunk aria-[current=true]:bg-chromate-wash"
						>
							<span class="figure w-12 font-semibold">{person.initials}</span>{person.name}
						</Button>
					</li>
				{:else}
					<li class="border-b border-hair py-3 text-soft">Nobody yet. Add the first name.</li>
				{/each}
			</ul>
		</form>
		<form method="POST" action="?/add{search}" use:sendForm class="space-y-4">
			<h2 class="font-semibold">New operator</h2>
			<TextField label="Name" problem={form?.problems?.name} name="name" value={form?.name ?? ''} />
			<TextField
				label="Initials"
				problem={form?.problems?.initials}
				name="initials"
				value={form?.initials ?? ''}
				figure
			/>
			<Button look="main">Add and use</Button>
		</form>
	</div>
</main>
