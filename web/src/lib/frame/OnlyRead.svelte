<script lang="ts">
	/** Said before anything is typed that the server would refuse: this page is not for this role to change. */
	import { page } from '$app/state';
	import { message } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { workOn } from '$lib/access/needs';
	import { getBench } from '$lib/bench/bench.svelte';

	const bench = getBench();
	const role = $derived(bench.access.role);
	const min = $derived(workOn(page.route.id));
</script>

{#if bench.access.network && role && !page.error && !bench.may(min)}
	<p class="flex-none bg-chromate-wash px-4 py-1.5 text-[13px] tablet:px-6 print:hidden">
		{tell(message('access.only-read', { role, min }))}
	</p>
{/if}
