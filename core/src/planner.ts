/** The planner, for a worker or a script: what the rest of the core does not load. */
export * from './planning/on-job/plan/index.ts';
export { highsSolver } from './planning/solver/highs.ts';
