/** Which field of a form has the focus when it opens. */
import { flushSync } from 'svelte';

/** Opens what a field is folded away in. */
function unfold(field: HTMLElement): void {
	for (
		let folded = field.closest<HTMLElement>('[data-collapsible-content][hidden]');
		folded;
		folded =
			folded.parentElement?.closest<HTMLElement>('[data-collapsible-content][hidden]') ?? null
	)
		folded.parentElement?.querySelector<HTMLElement>('[data-collapsible-trigger]')?.click();
	flushSync();
}

/** Gives the focus to a field by its name, a text or a choice. */
export function focusField(form: HTMLElement, name: string): void {
	const field = form.querySelector<HTMLElement>(
		`[name="${CSS.escape(name)}"]:not([type=hidden]), [data-field="${CSS.escape(name)}"] button`
	);
	if (!field) return;
	unfold(field);
	field.scrollIntoView({ block: 'center' });
	field.focus();
}

/** Gives the focus to the field that the address names, once the page stands. */
export function focusNamed(form: HTMLElement): void {
	const name = decodeURIComponent(location.hash.slice(1));
	if (name) focusField(form, name);
}
