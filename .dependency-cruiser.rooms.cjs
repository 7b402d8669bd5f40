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
