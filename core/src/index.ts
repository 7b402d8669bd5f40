export * from './units/quantity.ts';
export * from './units/display.ts';
export * from './units/entry.ts';
export * from './message/message.ts';
export { upgraded } from './file/version-1.ts';
export type { ServerMessages } from './message/server.ts';
export { issue, messageIn, messageOf, type FieldMessages } from './message/issue.ts';
export type { Problem } from './file/file.ts';
export type { BuildLimit } from './job-plan/builds.ts';
export * from './spring/way-up.ts';
export * from './verdict/verdict.ts';
export * from './verdict/uncertainty.ts';
export * from './station/layout.ts';
export * from './station/order.ts';
export * from './station/outlier.ts';
export * from './station/stack.ts';
export * from './spring/bind.ts';
export * from './spring/curve.ts';
export * from './spring/of-card.ts';
export * from './lift/lift.ts';
export { LIFT_LIMITS, type LiftLimit, type LimitAt } from './max-lift/limits.ts';
export * from './max-lift/ladder.ts';
export * from './clearance/clearance.ts';
export * from './lash/lash.ts';
export * from './lash/orders.ts';
export * from './lash/adjuster.ts';
export * from './figures/lash-drift.ts';
export * from './lash/swap.ts';
export * from './lash-setting/of-job.ts';
export * from './as-built/as-built.ts';
export * from './document/check-words.ts';
export * from './build-checks/check.ts';
export * from './build-checks/read.ts';
export * from './assembly/steps.ts';
export * from './assembly/of-job.ts';
export * from './assembly/progress.ts';
export { maySign, openItems, unresolved, type OpenItem } from './open-items/open-items.ts';
export * from './target-height/target.ts';
export * from './geometry/head-plan.ts';
export * from './geometry/scale.ts';
export * from './geometry/section.ts';
export * from './geometry/section-picture.ts';
export type { Dimension, Picture, Point, Role, Shape } from './geometry/shape.ts';
export * from './plan/shim.ts';
export * from './document/quantities.ts';
export * from './figures/sheet.ts';
export type { KindSheet, Outcome, ShimAdvice } from './figures/kind.ts';
export type { Remark } from './figures/remark.ts';
export type { Figure } from './figures/figure.ts';
export * from './figures/registry.ts';
export * from './evaluation/sheet.ts';
export * from './document/current-readings.ts';
export * from './evaluation/evaluate.ts';
export { cutEffects } from './figures/cut-effects.ts';
export * from './stages/stages.ts';
export { partsNeeded, type PartNeeded } from './stages/parts-needed.ts';
export * from './evaluation/sheet-json.ts';
export * from './figures/plausible.ts';
export * from './document/repeats.ts';
export * from './job-plan/types.ts';
export * from './job-plan/apply.ts';
export * from './job-plan/shelf.ts';
export { bareHeightOf, inPlaceOf } from './figures/adjust-to-build.ts';
export { shimAction } from './figures/shim-advice.ts';
export * from './document/append-only-lists.ts';
export type {
	Decision,
	InPlaceEntry,
	Job,
	KindSetup,
	Limits,
	Person,
	Reading,
	Setup,
	Acceptance,
	AssemblyStep,
	Check,
	Note,
	FitLimits,
	HeadWork,
	Plan,
	TaggedSpring,
	Inspection,
	StationParts,
	StationEntry,
	VoidEntry,
	Policies
} from './document/schema.ts';
export { NOTE_SUBJECTS, POLICIES } from './document/policies.ts';
export { newJob, defaultSetup, defaultLimits } from './document/defaults.ts';
export * from './document/in-place.ts';
export { ratioOf, heightsByMethod } from './figures/valve-kind.ts';
export { forgottenSubject } from './figures/whole-head.ts';
export * from './document/reading-time.ts';
export * from './document/resolve-parts.ts';
export * from './what-if/scenario.ts';
export * from './inspection/inspection.ts';
export * from './document/head-work.ts';
export * from './mass/mass.ts';
export * from './fit/rule.ts';
export * from './fit/finding.ts';
export * from './fit/fit.ts';
export * from './fit/locks.ts';
export * from './fit/remedy.ts';
export * from './spring-selection/spring.ts';
export { RULES } from './fit/rules/index.ts';
export * from './part/types.ts';
export type { Cam, LibraryPart, PartOf, SpringCard } from './part/schema.ts';
export * from './gauge/types.ts';
export * from './gauge/correction.ts';
export * from './gauge/checks.ts';
export * from './gauge/same-things.ts';
export * from './gauge/in-hand.ts';
export * from './gauge-link/line.ts';
export * from './gauge-link/peak.ts';
export * from './sweep/sweep.ts';
export * from './sweep/bind.ts';
export * from './sweep/figures.ts';
export * from './sweep/set.ts';
export * from './sweep/identity.ts';
export * from './spring-selection/apply-to-card.ts';
export { frameOf, sweepPoints } from './sweep/points.ts';
export type { Sweep } from './sweep/schema.ts';
export type { Gauge, GaugeCheck } from './gauge/schema.ts';
