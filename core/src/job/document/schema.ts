/**
 * The job document: everything that is known about one job, as plain data, split by noun
 * in `schema/`. The schema is the one source of the type, of parsing and of the published
 * JSON Schema. Quantities are texts that keep the digits as read and name their unit
 * ("1.820 in"); nothing derived is stored here.
 */
export { FORMAT, VERSION, Job } from './schema/job.ts';
export { LiftGiven, KindSetup, Compression, Setup, type Policies } from './schema/setup.ts';
export { StationParts } from './schema/parts.ts';
export { FitLimits, Limits } from './schema/limits.ts';
export { Layout } from './schema/layout.ts';
export { StationEntry, StationLabel, TaggedSpring } from './schema/station.ts';
export { InPlaceEntry, Reading, VoidEntry } from './schema/reading.ts';
export { AsFound, Inspection, HeadWork } from './schema/work.ts';
export { Decision, Acceptance, Note } from './schema/decision.ts';
export { Motions, KeptMotion } from './schema/motions.ts';
export { Look, CaseOutcome, Since, Trial, TRIAL_RESULTS, VisitOf } from './schema/visit.ts';
export { Plan } from './schema/plan.ts';
export { AssemblyStep, Check } from './schema/build.ts';
export { Person } from './schema/person.ts';
