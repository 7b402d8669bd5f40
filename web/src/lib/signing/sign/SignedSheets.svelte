<script lang="ts">
	/** The sheets signed so far, newest first, with all that goes out of each. */
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { moment } from '$lib/ui/words';

	const store = getJobStore();
	const root = $derived(`/jobs/${store.job.id}`);
	const newest = $derived(store.signed[0]);
</script>

<section aria-label="Signed sheets">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">Signed</h2>
	{#each store.signed as sheet (sheet.id)}
		{@const at = `${root}/signed/${sheet.id}`}
		<div class="border-b border-hair py-2" data-signed={sheet.revision}>
			<p>
				<b>Sheet {sheet.revision}</b>, {sheet.person}, {moment(sheet.at)}{sheet === newest
					? ''
					: ' · superseded'}
			</p>
			<p class="figure mt-0.5 text-[11px] break-all text-soft">SHA-256 {sheet.sha256}</p>
			<p
				class="mt-1 flex flex-wrap gap-x-3 gap-y-1 [&>a]:flex [&>a]:min-h-11 [&>a]:items-center [&>a]:underline bench:[&>a]:min-h-6"
			>
				<a href="{at}/sheet.pdf?size=A4">PDF A4</a>
				<a href="{at}/sheet.pdf?size=Letter">PDF Letter</a>
				<a href="{at}/customer.pdf?size=A4">Customer’s copy</a>
				{#if store.job.visitOf}<a href="{at}/report.pdf?size=A4">Changes since last visit</a>{/if}
				<a href="{at}/sheet.json" download>JSON</a>
				<a href="{at}/sheet.csv" download>CSV</a>
				<a href="{at}/label.pdf">Label</a>
			</p>
		</div>
	{:else}
		<p class="py-2 text-soft">Not signed yet.</p>
	{/each}
</section>
