/** A component as it is first shown, without a browser: what its markup says, for tests. */
import type { Component } from 'svelte';
import { render } from 'svelte/server';
import type { Bench } from '$lib/bench/bench.svelte';
import type { JobStore } from '$lib/job/store/job-store.svelte';
import Provided from './Provided.svelte';

export interface Around {
	readonly bench: Bench;
	readonly store: JobStore;
}

/** The markup of a component, comments of the compiler left out. */
export function markup<P extends object>(of: Component<P>, given: P, around: Around): string {
	const props = { of, given, ...around } as never;
	return render(Provided, { props }).body.replace(/<!--.*?-->/gs, '');
}

/** What somebody reads of it, tags taken as spaces. */
export const words = (html: string): string =>
	html
		.replace(/<(?:"[^"]*"|[^">])*>/g, ' ')
		.replace(/&nbsp;/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();
