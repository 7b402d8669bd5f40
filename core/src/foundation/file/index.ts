export * from './file.ts';
export { fieldNow, UPGRADES, upgraded, valueNow } from './upgrade.ts';
export { fromVersion1, valueSince1 } from './version-1.ts';
export { fromVersion2, valueSince2 } from './version-2.ts';
