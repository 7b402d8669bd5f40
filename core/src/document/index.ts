export * from './append-only-lists.ts';
export * from './check-words.ts';
export * from './current-readings.ts';
export * from './defaults.ts';
export * from './head-work.ts';
export * from './in-place.ts';
export * from './policies.ts';
export * from './quantities.ts';
export * from './reading-time.ts';
export * from './repeats.ts';
export * from './resolve-parts.ts';
export * from './setup-like.ts';
export * from './units-as-read.ts';
export type {
	Acceptance,
	AssemblyStep,
	Check,
	Compression,
	Decision,
	FitLimits,
	HeadWork,
	InPlaceEntry,
	Inspection,
	Job,
	KindSetup,
	Limits,
	Note,
	Person,
	Plan,
	Policies,
	Reading,
	Setup,
	StationEntry,
	StationParts,
	TaggedSpring,
	VoidEntry
} from './schema.ts';
