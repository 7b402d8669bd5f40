/**
 * Mutation tests of one module: each line of it is changed in turn, and some test has to fail.
 *
 *   npm run mutants -- core/src/foundation/verdict
 *
 * Strings are not mutated: the catalog's words are tested elsewhere. Mutants of what runs once,
 * as a file is loaded, are ignored, and their number is printed: they would take a run of all
 * tests each.
 */
const module = process.env.ZINC_MUTANTS;
if (!module) throw new Error('Which module? npm run mutants -- core/src/foundation/verdict');
const isOfServer = module.startsWith('web/src/lib/server');

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
	testRunner: 'vitest',
	plugins: ['@stryker-mutator/vitest-runner'],
	vitest: { configFile: 'vitest.mutants.config.ts' },
	mutate: module.endsWith('.ts')
		? [module]
		: [`${module}/**/*.ts`, `!${module}/**/*.test.ts`, `!${module}/**/test/**`],
	coverageAnalysis: 'perTest',
	ignoreStatic: true,
	mutator: { excludedMutations: ['StringLiteral'] },
	incremental: true,
	incrementalFile: `.cache/mutants/${module.replaceAll('/', '-')}.json`,
	// Files of database tests share the lane's cluster.
	concurrency: isOfServer ? 1 : 2,
	tempDirName: '.cache/stryker',
	ignorePatterns: ['.data', 'web/build', 'docs/screenshots', '**/.cache'],
	reporters: ['clear-text', 'json'],
	jsonReporter: { fileName: `.cache/mutants/${module.replaceAll('/', '-')}-report.json` },
	clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
	thresholds: { high: 90, low: 85, break: module.includes('figures') ? 75 : 85 }
};
