/** The tests that judge a mutant: of the core for the core, with those of the database for the server. */
import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

const isOfServer = (process.env.ZINC_MUTANTS ?? '').startsWith('web/');

export default defineConfig({
	plugins: isOfServer ? [svelte()] : [],
	resolve: { alias: { $lib: fileURLToPath(new URL('./web/src/lib', import.meta.url)) } },
	test: {
		include: isOfServer ? ['web/src/lib/{server,access}/**/*.test.ts'] : ['core/src/**/*.test.ts'],
		setupFiles: isOfServer ? ['scripts/test-lane.ts'] : [],
		fileParallelism: !isOfServer,
		testTimeout: 300_000,
		hookTimeout: 300_000
	}
});
