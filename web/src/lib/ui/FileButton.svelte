<script lang="ts">
	/** A button that asks for a file. */
	import type { Snippet } from 'svelte';
	import type { ClassValue, HTMLInputAttributes } from 'svelte/elements';

	interface Props extends Omit<HTMLInputAttributes, 'class' | 'children'> {
		small?: boolean;
		class?: ClassValue;
		/** Done with the files; by default the form that it stands in is sent. */
		onfiles?: (input: HTMLInputElement) => void;
		children: Snippet;
	}
	let { small = false, class: extra = '', onfiles, children, ...rest }: Props = $props();
</script>

<label
	class={[
		'button cursor-pointer focus-within:outline-3 focus-within:outline-chromate',
		small && 'bench:min-h-9',
		extra
	]}
>
	{@render children()}
	<input
		type="file"
		class="sr-only"
		{...rest}
		onchange={({ currentTarget: input }) =>
			(onfiles ?? ((own) => own.form?.requestSubmit()))(input)}
	/>
</label>
