/** Every page of the application, read from its routes and filled in with what the demo has. */
import { ask } from './databases.ts';
import type { App } from './app.ts';
import { targets } from './targets.ts';

/** Pages that are not there here: a shop on its network has them, and the sampler a developer. */
export const NOT_HERE = [
	'/account',
	'/audit',
	'/join',
	'/people',
	'/sampler',
	'/shared/[token]',
	'/sign-in'
] as const;

/** States of a page that are pages of their own to whoever looks at them. */
const VARIANTS: Readonly<Record<string, readonly string[]>> = {
	'/': ['find=zzz', 'filter=came-back'],
	'/parts': ['type=locks'],
	'/parts/new': ['type=spring', 'type=retainer'],
	'/jobs/[id=uuid]/round': [
		'of=installed-height',
		'of=tip-height',
		'of=seal-gap',
		'of=lash',
		'of=lash&order=firing-order',
		'of=built-height',
		'of=chamber-volume'
	]
};

const routes = () =>
	targets().flatMap(({ path, page }) =>
		page && !(NOT_HERE as readonly string[]).includes(path) ? [path] : []
	);

const isOfJob = (route: string) => route.startsWith('/jobs/[id=uuid]');

const withVariants = (route: string, path: string) => [
	path,
	...(VARIANTS[route] ?? []).map((query) => `${path}?${query}`)
];

/** Every page of one job. */
export const pagesOfJob = (job: string): string[] =>
	routes()
		.filter(isOfJob)
		.flatMap((route) => withVariants(route, route.replace('/jobs/[id=uuid]', job)));

/** Where the ids of other pages come from. */
const TABLES: readonly (readonly [under: string, question: string])[] = [
	['/engines/', 'select id from engine order by name limit 1'],
	['/gauges/', `select id from gauge order by doc ->> 'name' limit 1`],
	['/heads/', 'select id from cylinder_head order by created_at, id limit 1'],
	['/kits/', `select id from kit order by doc ->> 'name' limit 1`],
	['/parts/[id=uuid]/lobes', `select id from part where type = 'cam' order by id limit 1`],
	['/parts/', 'select id from part order by id limit 1'],
	['/service/', 'select id from spring_set order by name limit 1'],
	['/springs/', 'select id from spring_set order by name limit 1'],
	['/templates/', 'select id from template order by id limit 1']
];

/** Every page that is not of a job, and one that is not there. */
export async function otherPages(app: App): Promise<string[]> {
	const ids = await Promise.all(
		TABLES.map(async ([under, question]) => {
			const [row] = await ask<{ id: string }>(app.database, question);
			return [under, row!.id] as const;
		})
	);
	return routes()
		.filter((route) => !isOfJob(route))
		.flatMap((route) => {
			const id = ids.find(([under]) => route.startsWith(under))?.[1] ?? '';
			return withVariants(route, route.replace('[id=uuid]', id));
		});
}
