/** The core's entrance: what every module shows. Files with schemas have entrances of their own, see package.json. */
export * from './foundation/units/index.ts';
export * from './foundation/message/index.ts';
export * from './foundation/verdict/index.ts';
export * from './foundation/file/index.ts';
export * from './sheet/clearance/index.ts';
export * from './foundation/station/index.ts';
export * from './parts/part/index.ts';
export * from './parts/kit/index.ts';
export * from './springs/spring/index.ts';
export * from './valvetrain/lobe/index.ts';
export * from './valvetrain/control/index.ts';
export * from './calculators/index.ts';
export * from './springs/sweep/index.ts';
export * from './parts/gauge-link/index.ts';
export * from './valvetrain/lash/index.ts';
export * from './sheet/as-built/index.ts';
export * from './job/inspection/index.ts';
export * from './visits/diagnosis/index.ts';
export * from './job/document/index.ts';
export * from './job/paste/index.ts';
export * from './job/template/index.ts';
export * from './parts/gauge/index.ts';
export * from './job/gauge-in-hand/index.ts';
export * from './sheet/mass/index.ts';
export * from './valvetrain/lift/index.ts';
export * from './sheet/target-height/index.ts';
export * from './sheet/checks/index.ts';
export * from './sheet/figures/index.ts';
export * from './sheet/fit/index.ts';
export * from './sheet/evaluation/index.ts';
export * from './visits/comparison/index.ts';
export * from './visits/on-job/changes/index.ts';
export * from './visits/on-job/stops/index.ts';
export * from './visits/on-job/diagnosis/index.ts';
export * from './visits/on-job/service/index.ts';
export * from './visits/on-job/used-springs/index.ts';
export * from './valvetrain/on-job/control/index.ts';
export * from './assembly/index.ts';
export * from './valvetrain/on-job/lash/index.ts';
export * from './planning/on-job/plan/index.ts';
export * from './planning/on-job/max-lift/index.ts';
export * from './springs/on-job/selection/index.ts';
export * from './planning/on-job/what-if/index.ts';
export * from './sheet/geometry/index.ts';
export * from './signing/open-items/index.ts';
export * from './signing/scope/index.ts';
export * from './signing/stages/index.ts';
export {
	stacks,
	suggestShims,
	UNCOUNTED,
	usableShims,
	type ShimAnswer,
	type ShimQuestion,
	type ShimRoom,
	type ShimStock
} from './parts/shim/index.ts';
