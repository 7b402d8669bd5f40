/** The walls between the parts: dependencies point one way. */

/**
 * The layers of the core, the lowest first: each knows itself and those before it. A group has a
 * second layer, on-job, where half of it works on a job and its sheet and the other half does not.
 */
const LAYERS = [
	'foundation',
	'parts',
	'springs',
	'planning',
	'valvetrain',
	'visits',
	'job',
	'sheet',
	'springs/on-job',
	'valvetrain/on-job',
	'planning/on-job',
	'assembly',
	'visits/on-job',
	'signing',
	'calculators'
];
/** The files of a layer; those of its group that work on a job are a layer of their own. */
const inLayer = (layer) => `^core/src/${layer}/${layer.endsWith('/on-job') ? '' : '(?!on-job/)'}`;
/** Two groups are small enough to be one module. */
const MODULE =
	'core/src/(?:assembly|calculators|[^/]+/on-job/[^/]+|(?!assembly|calculators)[^/]+/(?!on-job)[^/]+)';

/** A feature of the web: in the group of the core that it belongs to, or, where the core has none, by itself. */
const WEB_GROUPS = 'parts|springs|valvetrain|job|sheet|planning|visits|signing';
const FEATURE = `web/src/lib/(?:(?:${WEB_GROUPS})/[^/]+|(?!(?:${WEB_GROUPS})/)[^/]+)`;

module.exports = {
	forbidden: [
		{ name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
		{
			name: 'core-stands-alone',
			comment:
				'The core is pure: no I/O, no DOM, no framework; zod, canonical JSON, linear-time patterns and itself only.',
			severity: 'error',
			from: { path: '^core/src' },
			to: {
				pathNot: [
					'^core/src',
					// Node's own, for the signature of a sheet.
					'^crypto$',
					'node_modules/@types/node/',
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
		},
		{
			name: 'no-circles-of-modules',
			comment:
				'Modules of the core and folders of the web’s features know only what is below them: what two need of each other goes into a third.',
			severity: 'error',
			scope: 'folder',
			from: { path: `^(${MODULE}|${FEATURE})$` },
			to: { circular: true }
		},
		...LAYERS.map((layer, i) => ({
			name: `layer-${layer.replace('/', '-')}`,
			comment: 'Layers of the core know themselves and those before them in the list.',
			severity: 'error',
			from: { path: inLayer(layer) },
			to: { path: '^core/src/[^/]+/', pathNot: LAYERS.slice(0, i + 1).map(inLayer) }
		})),
		{
			name: 'through-the-door',
			comment:
				'A module of the core is entered by its index.ts; schema.ts, file.ts and highs.ts are doors of their own, for they load more.',
			severity: 'error',
			from: { path: `^(${MODULE})/` },
			to: {
				path: `^${MODULE}/`,
				pathNot: ['^$1/', `^${MODULE}/(index|schema|file|highs)\\.ts$`]
			}
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.walls.json' },
		tsPreCompilationDeps: true,
		// Tests may look at a folder from anywhere.
		exclude: { path: ['\\.svelte-kit', 'build/', '\\.test\\.ts$', '/test/'] }
	}
};
