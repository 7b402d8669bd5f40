/** The rooms: folders of the core and of the web's features know each other without circles. */
module.exports = {
	forbidden: [
		{
			name: 'no-circles-of-rooms',
			comment: 'A room knows only rooms below it: what two need of each other goes into a third.',
			severity: 'error',
			scope: 'folder',
			from: { path: '^(core/src|web/src/lib)/[^/]+$' },
			to: { circular: true }
		},
		{
			name: 'through-the-door',
			comment:
				'A room is known by its index.ts; schema.ts, file.ts and highs.ts are doors of their own, for they load more.',
			severity: 'error',
			from: { path: '^core/src/([^/]+)/' },
			to: {
				path: '^core/src/[^/]+/',
				pathNot: ['^core/src/$1/', '^core/src/[^/]+/(index|schema|file|highs)\\.ts$']
			}
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.walls.json' },
		tsPreCompilationDeps: true,
		// Tests may look at a room from anywhere above it.
		exclude: { path: ['\\.svelte-kit', 'build/', '\\.test\\.ts$', '/test/'] }
	}
};
