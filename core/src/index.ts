export * from './units/quantity.ts';
export * from './units/display.ts';
export * from './units/entry.ts';
export * from './units/phrase.ts';
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
export { LIFT_LIMITS, type LiftLimit, type LimitAt } from './lift/limits.ts';
export * from './lift/ladder.ts';
export * from './clearance/clearance.ts';
export * from './lash/lash.ts';
export * from './lash/orders.ts';
export * from './lash/adjuster.ts';
export * from './lash/drift.ts';
export * from './lash/swap.ts';
export * from './lash/of-job.ts';
export * from './built/built.ts';
export * from './check/words.ts';
export * from './check/check.ts';
export * from './check/read.ts';
export * from './assembly/steps.ts';
export * from './assembly/of-job.ts';
export * from './assembly/progress.ts';
export * from './signed/open-points.ts';
export * from './target/target.ts';
export * from './geometry/section.ts';
export * from './plan/shim.ts';
export * from './job/quantities.ts';
export * from './job/sheet.ts';
export * from './job/in-force.ts';
export * from './job/evaluate.ts';
export { cutEffects } from './job/cut-effects.ts';
export * from './job/stages.ts';
export * from './job/plain-sheet.ts';
export * from './job/plausible.ts';
export * from './job/taken.ts';
export * from './job/plan/question.ts';
export * from './job/plan/apply.ts';
export * from './job/plan/shelf.ts';
export { bareHeightOf, inPlaceOf } from './job/planned.ts';
export { shimPhrase } from './job/shim-advice.ts';
export * from './job/lists.ts';
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
} from './job/schema.ts';
export { NOTE_SUBJECTS, POLICIES } from './job/policies.ts';
export { newJob, defaultSetup, defaultLimits } from './job/defaults.ts';
export * from './job/in-place.ts';
export { ratioOf, schoolsOf } from './job/kind.ts';
export { forgottenSubject } from './job/whole-head.ts';
export * from './job/reading-time.ts';
export * from './job/parts-of.ts';
export * from './job/what-if.ts';
export * from './inspection/inspection.ts';
export * from './work/work.ts';
export * from './mass/mass.ts';
export * from './fit/rule.ts';
export * from './fit/finding.ts';
export * from './fit/fit.ts';
export * from './fit/locks.ts';
export * from './fit/remedy.ts';
export * from './choice/spring.ts';
export { RULES } from './fit/rules/index.ts';
export * from './part/words.ts';
export type { Cam, LibraryPart, PartOf, SpringCard } from './part/schema.ts';
export * from './gauge/words.ts';
export * from './gauge/correction.ts';
export * from './gauge/checks.ts';
export * from './gauge/in-hand.ts';
export * from './device/line.ts';
export * from './device/peak.ts';
export * from './sweep/sweep.ts';
export * from './sweep/bind.ts';
export * from './sweep/figures.ts';
export * from './sweep/set.ts';
export * from './sweep/identity.ts';
export * from './sweep/onto-card.ts';
export { frameOf, sweepPoints } from './sweep/points.ts';
export type { Sweep } from './sweep/schema.ts';
export type { Gauge, GaugeCheck } from './gauge/schema.ts';
