<script lang="ts">
	/** Links that a customer opens the newest signed sheet by: made, counted, ended. */
	import { SHARE_DAYS, type Share } from '$lib/access/share';
	import { getBench } from '$lib/bench/bench.svelte';
	import { sent } from '$lib/http/send-json';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Select from '$lib/ui/Select.svelte';
	import { moment } from '$lib/ui/words';

	const store = getJobStore();
	const bench = getBench();
	const newest = $derived(store.signed[0]);
	const at = $derived(`/api/jobs/${store.job.id}/shares`);
	const DAYS = [7, SHARE_DAYS.usual, 90, SHARE_DAYS.max].map((days) => ({
		value: String(days),
		label: `${days} days`
	}));
	let days = $state(String(SHARE_DAYS.usual));
	let shares = $state.raw<readonly Share[]>([]);
	let made = $state.raw<{ link: string; picture: string } | null>(null);
	let problem = $state<string | null>(null);

	async function look() {
		const answer = await fetch(at).catch(() => null);
		if (answer?.ok) ({ shares } = (await answer.json()) as { shares: Share[] });
	}
	async function change(method: 'POST' | 'DELETE', body: object) {
		const answer = await sent(method, at, body);
		problem = 'problem' in answer ? answer.problem : null;
		made = 'body' in answer && method === 'POST' ? (answer.body as typeof made) : null;
		await look();
	}
	const token = $derived(made?.link.split('/').at(-1));
	$effect(() => {
		if (newest) void look();
	});
</script>

{#if newest && bench.access.network && bench.may('machinist')}
	<section aria-label="Customer’s links">
		<h2 class="border-b-2 border-ink pb-1 font-semibold">For the customer</h2>
		<form
			class="flex flex-wrap items-center gap-2 py-2"
			onsubmit={(event) => {
				event.preventDefault();
				void change('POST', { sheet: newest.id, days: Number(days) });
			}}
		>
			<Select aria-label="How long the link opens the sheet" options={DAYS} bind:value={days} />
			<Button>Make a link to sheet {newest.revision}</Button>
		</form>
		<Alert {problem} />
		{#if made}
			<div role="status" class="flex gap-3 border-l-4 border-chromate bg-sunk p-3">
				<!-- The server drew it: dark on light whatever the scheme, for cameras. -->
				<!-- eslint-disable-next-line svelte/no-at-html-tags -->
				<div class="size-20 flex-none bg-white p-1">{@html made.picture}</div>
				<p class="min-w-0">
					Shown only now:
					<a class="block break-all underline" href={made.link}>{made.link}</a>
					<a
						class="mt-1 inline-block underline"
						href="/jobs/{store.job.id}/signed/{newest.id}/label.pdf?share={token}"
						>Label with this link</a
					>
				</p>
			</div>
		{/if}
		<ul>
			{#each shares as share (share.id)}
				<li class="flex items-center gap-2 border-b border-hair py-1">
					<span class="flex-1">
						Sheet {share.revision}, until {moment(share.until)}
						<span class="block text-soft">
							{share.openedAt
								? `opened ${share.opened} ×, last ${moment(share.openedAt)}`
								: 'not opened yet'}
						</span>
					</span>
					<Button look="quiet" onclick={() => change('DELETE', { id: share.id })}>End</Button>
				</li>
			{/each}
		</ul>
	</section>
{/if}
