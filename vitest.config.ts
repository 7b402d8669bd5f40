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
					include: ['{core,cli,web,gauges}/src/**/*.test.ts'],
					exclude: ['**/*.db.test.ts']
				},
				resolve: { alias: { $lib: fileURLToPath(new URL('./web/src/lib', import.meta.url)) } }
			},
			{
				test: {
					name: 'database',
					include: ['web/src/**/*.db.test.ts'],
					fileParallelism: false,
					testTimeout: 30_000
				},
				resolve: { alias: { $lib: fileURLToPath(new URL('./web/src/lib', import.meta.url)) } }
			},
			{
				test: {
					name: 'browser',
					include: ['e2e/**/*.test.ts'],
					fileParallelism: false,
					testTimeout: 90_000,
					hookTimeout: 120_000
				}
			}
		]
	}
});
