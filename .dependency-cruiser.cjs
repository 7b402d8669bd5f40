/** The walls between the parts: dependencies point one way. */
module.exports = {
	forbidden: [
		{ name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
		{
			name: 'core-stands-alone',
			comment:
				'The core is pure: no I/O, no DOM, no framework; zod, canonical JSON, linear-time patterns and itself only.',
			severity: 'error',
			from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
			to: {
				pathNot: [
					'^core/src',
					'node_modules/zod/',
					'node_modules/canonicalize/',
					'node_modules/re2js/'
				]
			}
		},
		{
			name: 'ui-knows-no-feature',
			comment: 'Small parts know the words of the core, and no feature and no server.',
			severity: 'error',
			from: { path: '^web/src/lib/ui' },
			to: { path: '^web/src/', pathNot: '^web/src/lib/ui' }
		},
		{
			name: 'features-know-no-route',
			severity: 'error',
			from: { path: '^web/src/lib' },
			to: { path: '^web/src/routes' }
		},
		{
			name: 'browser-knows-no-server',
			comment: 'Only routes on the server, hooks and the server folder itself reach the database.',
			severity: 'error',
			from: {
				path: '^web/src',
				pathNot: [
					'^web/src/lib/server',
					'\\+(page|layout)\\.server\\.ts$',
					'\\+server\\.ts$',
					'hooks\\.server\\.ts$'
				]
			},
			to: { path: '^web/src/lib/server' }
		},
		{
			name: 'no-web-in-cli',
			severity: 'error',
			from: { path: '^cli' },
			to: { path: '^web' }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.walls.json' },
		tsPreCompilationDeps: true,
		exclude: { path: ['\\.svelte-kit', 'build/'] }
	}
};
