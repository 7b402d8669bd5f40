/**
 * Writes THIRD-PARTY.md: every package that the program needs to run, fonts included, with its
 * licence, as npm itself knows them.
 *
 *   npm run third-party            writes it
 *   npm run third-party -- --check says whether it has fallen behind
 */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';

const FILE = 'THIRD-PARTY.md';
const packages = JSON.parse(
	execFileSync('npm', ['query', '.prod', '--loglevel=silent'], {
		encoding: 'utf8',
		maxBuffer: 2 ** 26
	})
);
const rows = packages
	// Our own, and the parts of a package that only one sort of machine installs.
	.filter(
		({ name, os, cpu }) =>
			!name.startsWith('@zinc-ledger/') && name !== 'zinc-ledger' && !os && !cpu
	)
	.map(
		({ name, version, license }) => `| ${name} | ${version} | ${license ?? 'see the package'} |`
	);
const text = `# Third-party packages

What the program needs to run, with the licence that each package names. Written by
\`npm run third-party\`.

| package | version | licence |
| ------- | ------- | ------- |
${[...new Set(rows)].toSorted().join('\n')}
`;
if (process.argv.includes('--check')) {
	const kept = readFileSync(FILE, 'utf8');
	if (kept !== text) {
		console.error(`${FILE} has fallen behind: npm run third-party`);
		process.exit(1);
	}
} else writeFileSync(FILE, text);
