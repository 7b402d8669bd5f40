export * from './adjust-to-build.ts';
export {
	CARD_SPREAD,
	controlLimitOf,
	controlSpread,
	motionSpread,
	headroomWanted,
	wantedSpeed
} from './control-limit.ts';
export * from './control-read.ts';
export * from './cut-effects.ts';
export * from './figure.ts';
export * from './inspected-limits.ts';
export * from './inspected.ts';
export * from './job-limits.ts';
export * from './kept-motion.ts';
export * from './kind.ts';
export * from './lash-drift.ts';
export * from './plausible.ts';
export * from './ratio.ts';
export * from './registry.ts';
export * from './remark.ts';
export * from './sampled-springs.ts';
export * from './sheet.ts';
export * from './shim-advice.ts';
export * from './station.ts';
export * from './trust.ts';
export * from './valve-kind.ts';
export * from './whole-head.ts';
