<script lang="ts">
	/** What a job is begun with from quick sums, told and sent with the form. */
	let { lift, cushion }: { lift: string; cushion: string } = $props();
</script>

<input type="hidden" name="lift" value={lift} />
<input type="hidden" name="cushion" value={cushion} />
{#if lift || cushion}
	<p class="mt-3 text-soft">
		From the sums:
		{#if lift}valve lift <b class="figure text-ink">{lift}</b>{/if}
		{#if cushion}cushion over bind <b class="figure text-ink">{cushion}</b>{/if}
	</p>
{/if}
