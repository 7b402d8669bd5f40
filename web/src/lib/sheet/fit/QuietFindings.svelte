<script lang="ts">
	/** Checks of fit that do not fail: what they need, and those that pass. */
	import type { Finding } from '@zinc-ledger/core';
	import { ruleWords, tell } from '@zinc-ledger/words';
	import NeedLink from '$lib/sheet/needs/NeedLink.svelte';
	import { placeOf } from './finding-lines';
	import Disclosure from '$lib/ui/Disclosure.svelte';

	interface Props {
		unknown: readonly Finding[];
		passing: readonly Finding[];
	}
	let { unknown, passing }: Props = $props();
</script>

{#if unknown.length > 0}
	<h3 class="mt-4 font-semibold">Not known yet</h3>
	<ul class="mt-1 text-[13px]">
		{#each unknown as finding (finding.key)}
			<li class="border-b border-hair py-1">
				{ruleWords(finding.rule).title}
				<span class="text-soft">{placeOf(finding)}</span>
				<span class="block text-soft">
					needs {#each finding.missing as need, i (need.code)}{i > 0 ? ', ' : ''}<NeedLink
							{need}
							kinds={[finding.kind]}
							title="{ruleWords(finding.rule).title}: {tell(need)}">{tell(need)}</NeedLink
						>{/each}
				</span>
			</li>
		{/each}
	</ul>
{/if}
<Disclosure class="mt-4 text-[13px]" title="{passing.length} pass">
	<ul>
		{#each passing as finding (finding.key)}
			<li class="border-b border-hair py-1">
				{ruleWords(finding.rule).title}
				<span class="text-soft">{placeOf(finding)}</span>
			</li>
		{/each}
	</ul>
</Disclosure>
