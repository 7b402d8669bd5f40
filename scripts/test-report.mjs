/**
 * Reads the JSON reports of vitest for ./test.
 *
 *   node scripts/test-report.mjs counts REPORT       "passed failed total" of one
 *   node scripts/test-report.mjs slowest REPORT...   the ten files that took longest
 */
import { existsSync, readFileSync } from 'node:fs';
import { relative } from 'node:path';

const [, , wanted, ...files] = process.argv;
const reports = files
	.filter((file) => existsSync(file))
	.map((file) => JSON.parse(readFileSync(file, 'utf8')));

if (wanted === 'counts') {
	const [{ numPassedTests, numFailedTests, numTotalTests }] = reports;
	console.log(numPassedTests, numFailedTests, numTotalTests);
} else if (wanted === 'slowest') {
	const slowest = reports
		.flatMap(({ testResults }) => testResults)
		.map(({ name, startTime, endTime }) => ({ name, seconds: (endTime - startTime) / 1000 }))
		.toSorted((a, b) => b.seconds - a.seconds)
		.slice(0, 10);
	if (slowest.length > 0) console.log('\nThe slowest test files, in seconds:');
	for (const { name, seconds } of slowest)
		console.log(seconds.toFixed(0).padStart(6), '', relative('.', name));
}
