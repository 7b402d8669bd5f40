<script lang="ts">
	/**
	 * What is pressed: an action, or a way somewhere where it has an address.
	 * As in HTML it submits the form that it stands in, unless told otherwise.
	 */
	import { Button } from 'bits-ui';
	import type { ClassValue, HTMLAnchorAttributes, HTMLButtonAttributes } from 'svelte/elements';
	import { LOOKS, type Look } from './looks';

	interface Props
		extends
			Omit<HTMLButtonAttributes, 'class' | 'type'>,
			Pick<HTMLAnchorAttributes, 'href' | 'download' | 'target' | 'rel'> {
		look?: Look;
		type?: 'submit' | 'button';
		class?: ClassValue;
		/** A tight row leaves less room; a finger's height stays on touch. */
		small?: boolean;
	}
	let {
		look = 'plain',
		type = 'submit',
		small = false,
		class: extra = '',
		children,
		...rest
	}: Props = $props();
</script>

<Button.Root
	{...rest as object}
	type={rest.href ? undefined : type}
	class={[LOOKS[look], small && 'bench:min-h-9', extra]}
>
	{@render children?.()}
</Button.Root>
