import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	test: {
		projects: [
			{
				plugins: [svelte()],
				test: {
					name: 'unit',
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
						$lib: fileURLToPath(new URL('./web/src/lib', import.meta.url)),
						...Object.fromEntries(
							['navigation', 'forms', 'state'].map((door) => [
								`$app/${door}`,
								fileURLToPath(new URL('./web/src/lib/test/app.ts', import.meta.url))
							])
						)
					}
				}
			},
			{
				test: {
					name: 'database',
					include: ['web/src/**/*.db.test.ts'],
					fileParallelism: false,
					testTimeout: 300_000,
					hookTimeout: 300_000
				},
				resolve: { alias: { $lib: fileURLToPath(new URL('./web/src/lib', import.meta.url)) } }
			},
			{
				test: {
					name: 'browser',
					include: ['e2e/**/*.test.ts'],
					fileParallelism: false,
					// What takes minutes here is broken; what takes seconds may take many where much else runs.
					testTimeout: 600_000,
					hookTimeout: 300_000
				}
			}
		]
	}
});
