<script lang="ts">
	/** What a job is begun from: calculators, or another job; told, and sent with the form. */
	interface Props {
		cushion: string;
		/** Id of the job that it is to be like; '' where there is none. */
		like: string;
		/** That job, as it is called. */
		job: { readonly number: string; readonly engine: string } | null;
	}
	let { cushion, like, job }: Props = $props();
</script>

<input type="hidden" name="cushion" value={cushion} />
<input type="hidden" name="like" value={like} />
{#if job}
	<p class="mt-3">
		Like job <b class="figure">{job.number}</b>, {job.engine}: its parts, aims and limits, and none
		of its readings.
	</p>
{/if}
{#if cushion}
	<p class="mt-3 text-soft">
		From the sums: cushion over bind <b class="figure text-ink">{cushion}</b>
	</p>
{/if}
