/** Answers that say nothing of what was sent: nobody is signed in, too many at once, no room. */
const LATER = new Set([401, 402, 403, 407, 408, 413, 421, 423, 425, 429]);

/** Whether the server may yet take what it would not now. Only what can never be kept is for a person to decide. */
export const isForLater = (status: number) =>
	status >= 500 || (status >= 300 && status < 400) || LATER.has(status);

/** Whose writing a browser may send: anybody's where nobody signs in; nobody's while nobody has. */
export type Sender = { readonly anybody: true } | { readonly person: string | null };

export const sends = (sender: Sender, person: string | undefined): boolean =>
	'anybody' in sender || person === undefined || sender.person === person;
