/** Where somebody came from before they were asked who they are; only ever within the application. */
export function back(url: URL): string {
	const here = 'http://here.invalid';
	const asked = url.searchParams.get('back') ?? '/';
	// Read as a browser reads it: a tab or a backslash may hide another address.
	const read = URL.canParse(asked, here) ? new URL(asked, here) : null;
	if (read?.origin !== here || !asked.startsWith('/')) return '/';
	// Steps such as "/.//" leave two slashes at the beginning, which name another address.
	const way = read.pathname + read.search;
	return way.startsWith('//') ? '/' : way;
}
