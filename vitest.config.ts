import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

const $lib = fileURLToPath(new URL('./web/src/lib', import.meta.url));
/** Stands for what the framework gives to pages. */
const appStandIn = fileURLToPath(new URL('./web/src/lib/test/app.ts', import.meta.url));

export default defineConfig({
	test: {
		// The machines that this runs on have two cores.
		maxWorkers: 2,
		projects: [
			{
				plugins: [svelte()],
				test: {
					name: 'unit',
					pool: 'threads',
					// Files share their modules: loading them anew for each takes longer than the tests.
					isolate: false,
					// Components of these packages are compiled with ours.
					server: { deps: { inline: ['bits-ui', 'svelte-toolbelt', 'runed', '@lucide/svelte'] } },
					include: ['{core,words,cli,web,gauges}/src/**/*.test.ts'],
					exclude: ['**/*.db.test.ts'],
					// The command line is run as a program of its own; that takes a while on a busy machine.
					testTimeout: 300_000,
					hookTimeout: 300_000
				},
				resolve: {
					alias: {
						$lib,
						...Object.fromEntries(
							['navigation', 'forms', 'state'].map((door) => [`$app/${door}`, appStandIn])
						)
					}
				}
			},
			{
				test: {
					name: 'database',
					include: ['web/src/**/*.db.test.ts'],
					setupFiles: ['scripts/test-lane.ts'],
					testTimeout: 300_000,
					hookTimeout: 300_000
				},
				resolve: { alias: { $lib } }
			},
			{
				test: {
					name: 'browser',
					include: ['e2e/**/*.test.ts'],
					setupFiles: ['scripts/test-lane.ts', 'e2e/support/guard.ts'],
					// What takes minutes here is broken; what takes seconds may take many where much else runs.
					testTimeout: 600_000,
					hookTimeout: 300_000
				}
			}
		]
	}
});
