/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
/**
 * Lets a page that was open be opened again while the server is away: the
 * program itself is kept whole, pages of jobs as they were last seen. The network
 * comes first wherever there is one.
 */
import { build, files, version } from '$service-worker';

const worker = globalThis as unknown as ServiceWorkerGlobalScope;
const PROGRAM = `program-${version}`;
const PAGES = `pages-${version}`;
const OWN = new Set([...build, ...files]);

worker.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(PROGRAM)
			.then((cache) => cache.addAll([...OWN]))
			.then(() => worker.skipWaiting())
	);
});

worker.addEventListener('activate', (event) => {
	event.waitUntil(
		(async () => {
			for (const name of await caches.keys()) {
				if (name !== PROGRAM && name !== PAGES) await caches.delete(name);
			}
			await worker.clients.claim();
		})()
	);
});

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (request.method !== 'GET' || url.origin !== location.origin) return;
	if (OWN.has(url.pathname)) event.respondWith(program(request));
	else if (isPage(url)) event.respondWith(page(request, url));
});

/** Pages that are one, whatever stands in their address. */
const isOnePage = (pathname: string) => pathname === '/calculators' || pathname === '/valve';
const isPage = ({ pathname }: URL) =>
	pathname === '/' || isOnePage(pathname) || /^\/jobs\/[0-9a-f-]{36}/.test(pathname);
/** A round goes on whatever is away; other pages say that the database is. */
const goesOn = ({ pathname }: URL) => isOnePage(pathname) || pathname.includes('/round');

async function program(request: Request): Promise<Response> {
	return (await caches.match(request, { cacheName: PROGRAM })) ?? fetch(request);
}

async function page(request: Request, url: URL): Promise<Response> {
	const cache = await caches.open(PAGES);
	const address = isOnePage(url.pathname) ? url.origin + url.pathname : url.href;
	const kept = () => cache.match(address);
	try {
		const answer = await fetch(request);
		if (answer.ok) await cache.put(address, answer.clone());
		if (answer.status >= 500 && goesOn(url)) return (await kept()) ?? answer;
		return answer;
	} catch (failure) {
		const last = await kept();
		if (last) return last;
		throw failure;
	}
}
