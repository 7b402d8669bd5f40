<script lang="ts">
	/** Photos of a valve, of what came with a head, or of a kit's paper. */
	import Camera from '@lucide/svelte/icons/camera';
	import { invalidateAll } from '$app/navigation';
	import { capital, moment } from '$lib/ui/words';
	import Alert from '$lib/ui/Alert.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';

	interface Photo {
		readonly id: string;
		readonly width: number;
		readonly height: number;
		readonly at: string;
	}
	interface Props {
		photos: readonly Photo[];
		/** Where a new one is sent. */
		to: string;
		/** What they are of, in words. */
		of: string;
	}
	let { photos, to, of }: Props = $props();
	const MAX_BYTES = 12 * 1024 * 1024;
	let problem = $state<string | null>(null);
	let sending = $state(false);

	async function send(input: HTMLInputElement) {
		problem = null;
		let taken = 0;
		for (const file of input.files ?? []) {
			if (file.size > MAX_BYTES) {
				problem = `${file.name} is over 12 MB: make it smaller first.`;
				continue;
			}
			sending = true;
			try {
				const response = await fetch(to, {
					method: 'POST',
					body: file
				});
				if (response.ok) taken++;
				else {
					const answer = (await response.json()) as { message?: string };
					problem = `${file.name}: ${answer.message ?? 'the server would not take it.'}`;
				}
			} catch {
				problem = `${file.name}: the server cannot be reached. Try again.`;
			}
			sending = false;
		}
		input.value = '';
		if (taken > 0) await invalidateAll();
	}
</script>

<div class="flex flex-wrap gap-2">
	{#each photos as photo (photo.id)}
		<a href="/photos/{photo.id}" target="_blank" rel="noopener">
			<img
				src="/photos/{photo.id}?small"
				alt="{capital(of)}, {moment(photo.at)}"
				class="h-24 w-auto border border-rule"
				loading="lazy"
			/>
		</a>
	{/each}
	<FileButton
		class="h-24 flex-col justify-center text-[13px]"
		accept="image/jpeg,image/png,image/webp"
		multiple
		aria-label="Add a photo of {of}"
		onfiles={send}
	>
		<Camera size={20} />
		{sending ? 'Sending' : 'Add a photo'}
	</FileButton>
</div>
<Alert {problem} class="mt-1 text-[13px]" />
