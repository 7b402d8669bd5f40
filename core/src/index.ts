/** The core's door: what every room shows. Files with schemas have doors of their own, see package.json. */
export * from './units/index.ts';
export * from './message/index.ts';
export * from './verdict/index.ts';
export * from './file/index.ts';
export * from './clearance/index.ts';
export * from './station/index.ts';
export * from './part/index.ts';
export * from './kit/index.ts';
export * from './spring/index.ts';
export * from './lobe/index.ts';
export * from './control/index.ts';
export * from './sums/index.ts';
export * from './sweep/index.ts';
export * from './gauge-link/index.ts';
export * from './lash/index.ts';
export * from './as-built/index.ts';
export * from './inspection/index.ts';
export * from './diagnosis/index.ts';
export * from './document/index.ts';
export * from './paste/index.ts';
export * from './template/index.ts';
export * from './gauge/index.ts';
export * from './mass/index.ts';
export * from './lift/index.ts';
export * from './target-height/index.ts';
export * from './build-checks/index.ts';
export * from './figures/index.ts';
export * from './fit/index.ts';
export * from './evaluation/index.ts';
export * from './visit/index.ts';
export * from './then-and-now/index.ts';
export * from './job-diagnosis/index.ts';
export * from './service/index.ts';
export * from './used-springs/index.ts';
export * from './valve-control/index.ts';
export * from './assembly/index.ts';
export * from './lash-setting/index.ts';
export * from './job-plan/index.ts';
export * from './max-lift/index.ts';
export * from './spring-selection/index.ts';
export * from './what-if/index.ts';
export * from './geometry/index.ts';
export * from './open-items/index.ts';
export * from './scope/index.ts';
export * from './stages/index.ts';
export {
	stacks,
	suggestShims,
	UNCOUNTED,
	usableShims,
	type ShimAnswer,
	type ShimQuestion,
	type ShimRoom,
	type ShimStock
} from './plan/index.ts';
