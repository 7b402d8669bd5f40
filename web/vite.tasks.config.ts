/** Builds what runs in threads of its own (src/lib/server/work/tasks.ts) as a script beside the server. */
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('src/lib', import.meta.url)) } },
	ssr: { noExternal: ['@zinc-ledger/core', '@zinc-ledger/words'] },
	build: {
		ssr: 'src/lib/server/work/tasks.ts',
		outDir: 'build/tasks',
		copyPublicDir: false,
		target: 'node20'
	}
});
