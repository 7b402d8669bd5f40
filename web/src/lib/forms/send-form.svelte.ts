/**
 * Sends forms without losing what is typed in them: where the server or its database
 * is away, or something goes wrong there, the page stays as it is and says so.
 */
import { enhance } from '$app/forms';
import type { ActionResult } from '@sveltejs/kit';

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
		const { message } = error as Partial<App.Error>;
		const why = error instanceof Error || !message ? 'The server cannot be reached.' : message;
		this.why = `${why} What is typed here stays: send it once more.`;
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
