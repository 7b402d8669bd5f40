<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { KINDS, type Kind, type SpringCard } from '@zinc-ledger/core';
	import { getBook } from '$lib/job/book.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { JOB_FIELDS, KIND_GROUPS, LIMIT_FIELDS, SPARE_SHIM_ROWS } from '$lib/setup/fields';
	import SetupField from '$lib/setup/SetupField.svelte';
	import { isShown, valuesOf } from '$lib/setup/values';
	import { capital } from '$lib/ui/words';

	let { data, form } = $props();
	const book = getBook();
	useKeys([{ keys: ['Enter'], does: 'save the set-up' }]);

	let values = $state(withChoices(untrack(() => form?.values ?? valuesOf(book.job.setup))));
	let revision = $state(untrack(() => data.revision));
	const problems = $derived<Record<string, string>>(form?.problems ?? {});
	const shimRows = $derived(book.job.setup.shimStock.length + SPARE_SHIM_ROWS);

	/** Selects show their first choice even before anybody chose; the values must say the same. */
	function withChoices(texts: Record<string, string>): Record<string, string> {
		const chosen = { ...texts };
		for (const kind of KINDS) {
			for (const field of KIND_GROUPS.flatMap((group) => group.fields)) {
				if (field.choices)
					chosen[`kinds.${kind}.${field.path}`] ||= defaultOf(field.path, field.choices);
				else chosen[`kinds.${kind}.${field.path}`] ??= '';
			}
		}
		return chosen;
	}

	function defaultOf(path: string, choices: readonly string[]): string {
		return path.endsWith('source') ? 'card' : choices[0]!;
	}

	function copyIntake() {
		for (const path of Object.keys(values)) {
			if (path.startsWith('kinds.intake.')) {
				values[path.replace('.intake.', '.exhaust.')] = values[path]!;
			}
		}
	}

	function take(card: SpringCard | undefined, kind: Kind) {
		if (!card) return;
		const setup = structuredClone($state.snapshot(book.job.setup));
		setup.kinds[kind].spring = card;
		const texts = valuesOf(setup);
		for (const path of Object.keys(texts)) {
			if (path.startsWith(`kinds.${kind}.spring.`)) values[path] = texts[path]!;
		}
		values[`kinds.${kind}.spring.id`] = card.id;
	}
</script>

<svelte:head><title>Set-up · {book.job.number} · Zinc Ledger</title></svelte:head>

<form
	method="POST"
	class="min-h-0 flex-1 overflow-auto px-6 pb-10"
	use:enhance={() =>
		async ({ result, update }) => {
			await update({ reset: false });
			if (result.type === 'failure' && result.status === 409) revision = data.revision;
		}}
>
	<input type="hidden" name="revision" value={revision} />
	<div class="sticky top-0 z-[1] flex items-center gap-4 border-b-2 border-ink bg-paper py-3">
		<h1 class="text-xl font-semibold">Set-up of {book.job.number}</h1>
		{#if form?.message}<p role="alert" class="font-semibold text-stop">{form.message}</p>{/if}
		<button class="button button-main ml-auto">Save the set-up</button>
	</div>

	<div class="grid gap-x-10 bench:grid-cols-[minmax(0,1fr)_19rem]">
		<div>
			<div class="grid grid-cols-[12rem_1fr_1fr] items-center gap-x-3 pt-3">
				<button type="button" class="button w-max" onclick={copyIntake}>Copy to exhaust</button>
				{#each KINDS as kind (kind)}<h2 class="font-semibold">{capital(kind)}</h2>{/each}
			</div>
			{#each KIND_GROUPS as group (group.title)}
				<h3 class="mt-5 border-b border-ink pb-1 font-semibold">{group.title}</h3>
				{#if group.title === 'Spring card' && data.cards.length > 0}
					<div
						class="grid grid-cols-[12rem_1fr_1fr] items-center gap-x-3 border-b border-hair py-1"
					>
						<span class="text-[13px] text-soft">Take from the shop’s cards</span>
						{#each KINDS as kind (kind)}
							<select
								class="field"
								aria-label="{kind}: take a spring from the shop’s cards"
								onchange={(event) =>
									take(
										data.cards.find((card) => card.id === event.currentTarget.value),
										kind
									)}
							>
								<option value="">choose</option>
								{#each data.cards as card (card.id)}<option value={card.id}>{card.name}</option
									>{/each}
							</select>
						{/each}
					</div>
				{/if}
				{#each group.fields as field, i (i)}
					{@const shown = KINDS.filter((kind) =>
						isShown({ ...field, path: `kinds.${kind}.${field.path}` }, values)
					)}
					{#if shown.length > 0}
						<div
							class="grid grid-cols-[12rem_1fr_1fr] items-center gap-x-3 border-b border-hair py-1"
						>
							<span class="text-[13px] text-soft">{field.label}</span>
							{#each KINDS as kind (kind)}
								{@const path = `kinds.${kind}.${field.path}`}
								<div>
									{#if shown.includes(kind)}
										<SetupField
											{field}
											{path}
											label="{kind}: {field.label}"
											bind:value={() => values[path] ?? '', (text) => (values[path] = text)}
											problem={problems[path]}
										/>
									{/if}
								</div>
							{/each}
						</div>
					{/if}
				{/each}
			{/each}
			{#each KINDS as kind (kind)}
				<input
					type="hidden"
					name="kinds.{kind}.spring.id"
					value={values[`kinds.${kind}.spring.id`] ?? ''}
				/>
			{/each}
		</div>

		<div>
			{#snippet column(title: string, fields: typeof JOB_FIELDS)}
				<h3 class="mt-5 border-b border-ink pb-1 font-semibold">{title}</h3>
				{#each fields as field (field.path)}
					<div class="border-b border-hair py-1">
						<span class="text-[13px] text-soft">{field.label}</span>
						<SetupField
							{field}
							path={field.path}
							label={field.label}
							bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
							problem={problems[field.path]}
						/>
					</div>
				{/each}
			{/snippet}
			{@render column('The job', JOB_FIELDS)}
			{@render column('Limits of this job', LIMIT_FIELDS)}
			<h3 class="mt-5 border-b border-ink pb-1 font-semibold">Shims in stock</h3>
			{#each { length: shimRows }, row (row)}
				<div class="grid grid-cols-2 gap-2 border-b border-hair py-1">
					{#each ['thickness', 'count'] as part (part)}
						{@const path = `shimStock.${row}.${part}`}
						<div>
							<input
								class="field figure text-right"
								name={path}
								bind:value={() => values[path] ?? '', (text) => (values[path] = text)}
								aria-label="Shim size {row + 1}, {part}"
								aria-invalid={problems[path] ? 'true' : undefined}
								autocomplete="off"
							/>
							{#if problems[path]}
								<p class="text-[13px] font-semibold text-stop">{problems[path]}</p>
							{/if}
						</div>
					{/each}
				</div>
			{/each}
			<p class="caution mt-5">
				Spring maker’s and cam maker’s instructions come first. A figure told or remembered is shown
				as such and clears nothing on its own.
			</p>
		</div>
	</div>
</form>
