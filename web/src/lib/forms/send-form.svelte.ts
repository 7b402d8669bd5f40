/**
 * Sends forms without losing what is typed in them: where the server or its database
 * is away, or something goes wrong there, the page stays as it is and says so.
 */
import { enhance } from '$app/forms';
import type { ActionResult } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

interface How {
	/** Whether the form is emptied once it was taken. */
	reset?: boolean;
	/** Called once the answer is on the page. */
	after?: (result: ActionResult) => void;
}

class Unsent {
	/** Why the last form was not taken; null where it was. */
	why = $state<string | null>(null);

	/** @param error as the server tells it, or what the browser met on the way there */
	tell(error: unknown): void {
		const { message: text } = error as Partial<App.Error>;
		const why = error instanceof Error || !text ? tell(message('server.not-reached')) : text;
		this.why = tell(message('server.still-there', { why }));
	}
}
export const unsent = new Unsent();

/** Sends a form in the page. */
export function sendForm(form: HTMLFormElement, { reset = true, after }: How = {}) {
	return enhance(form, () => async ({ result, update }) => {
		if (result.type === 'error') return unsent.tell(result.error);
		unsent.why = null;
		await update({ reset });
		after?.(result);
	});
}
