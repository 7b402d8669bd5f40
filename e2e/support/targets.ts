/** What the application answers, read from its routes. */
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';

const ROUTES = 'web/src/routes';

export interface Target {
	readonly path: string;
	readonly methods: readonly string[];
	readonly actions: readonly string[];
	/** Whether a page is there, and not only an endpoint. */
	readonly page: boolean;
}

/** Every route with what it takes, read from the routes themselves. */
export function targets(): Target[] {
	const files = readdirSync(ROUTES, { recursive: true, encoding: 'utf8' }).toSorted();
	return files.flatMap((file): Target[] => {
		const path = `/${relative(ROUTES, join(ROUTES, file)).replace(/\/?[^/]*$/, '')}`;
		if (!/\+(server|page)(@)?\.?(server)?\.(ts|svelte)$/.test(file)) return [];
		const text = readFileSync(join(ROUTES, file), 'utf8');
		if (file.endsWith('+server.ts')) {
			const methods = [...text.matchAll(/export (?:async function|const) ([A-Z]+)\b/g)];
			return [{ path, methods: methods.map(([, method]) => method!), actions: [], page: false }];
		}
		const actions =
			file.endsWith('.server.ts') && /export const actions = \{([\s\S]*)/.exec(text)?.[1];
		const names = actions ? [...actions.matchAll(/^\t(\w+): (?:async )?\(/gm)] : [];
		return [
			{
				path,
				methods: ['GET'],
				actions: names.map(([, name]) => name!),
				page: file.endsWith('.svelte')
			}
		];
	});
}
