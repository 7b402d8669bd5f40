import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter(),
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				// Figures and charts place themselves by style attributes.
				'style-src': ['self', 'unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'font-src': ['self'],
				'connect-src': ['self'],
				'worker-src': ['self'],
				'object-src': ['none'],
				'base-uri': ['none'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		},
		typescript: {
			config: (config) => {
				config.compilerOptions.allowImportingTsExtensions = true;
				config.compilerOptions.noUncheckedIndexedAccess = true;
				// Some declarations of the core only add to others, and nothing imports them.
				config.include.push('../../core/.cache/types/**/*.d.ts');
			}
		}
	}
};
