/** The values that are shown and kept, each set of them under what they are of. */
import type {
	Adjuster,
	BindFound,
	MANUAL_TESTER,
	BuildLimit,
	Cam,
	Cause,
	CheckCode,
	Coil,
	Complaint,
	EngineState,
	Evidence,
	EvidenceCode,
	Fate,
	FateReason,
	FigureName,
	GaugeType,
	Groove,
	Happening,
	HowOften,
	Job,
	Kind,
	LifterType,
	Likely,
	LiftLimit,
	LimitCode,
	Match,
	Metal,
	PartType,
	Passage,
	Policies,
	Quantity,
	RockerNose,
	Served,
	ScopeName,
	ScopeNeed,
	SettingOrder,
	Setup,
	Source,
	SpringBuild,
	Phase,
	StageName,
	State,
	StationPart,
	StepCode,
	TargetMethod,
	AsFound,
	ValveInspection,
	ValveTip,
	CalculatorCode,
	CalculatorFieldKey,
	CalculatorResultKey,
	Train,
	CaseOutcome,
	Trial,
	Trust,
	Way,
	WayUp,
	Work,
	Trace
} from '@zinc-ledger/core';
import type { AuditedAct, PasswordStrength, ShopRole } from './server-messages.ts';

type Layout = Job['engine']['layout'];
type Part<K extends keyof Setup['kinds']['intake']> = NonNullable<Setup['kinds']['intake'][K]>;
type Of<T extends string> = Readonly<Record<T, string>>;

export interface Labels {
	readonly state: Of<State>;
	readonly source: Of<Source>;
	readonly kind: Of<Kind>;
	readonly figure: Of<FigureName>;
	readonly limit: Of<LimitCode>;
	readonly buildLimit: Of<BuildLimit>;
	readonly liftLimit: Of<LiftLimit>;
	readonly quantity: Of<Quantity>;
	/** What moved between two visits, and what may have happened. */
	readonly trace: Of<Trace>;
	readonly happening: Of<Happening>;
	/** What the customer complains of, what may be behind it, what tells of it and what is done to find out. */
	readonly complaint: Of<Complaint>;
	readonly cause: Of<Cause>;
	readonly finding: Of<EvidenceCode>;
	readonly check: Of<CheckCode>;
	readonly howOften: Of<HowOften>;
	readonly likely: Of<Likely>;
	readonly outcomeProof: Of<CaseOutcome['shownBy']>;
	readonly trialResult: Of<NonNullable<Trial['result']>>;
	readonly served: Of<Served>;
	/** What becomes of a spring that has run, and what decided it. */
	readonly fate: Of<Fate>;
	readonly fateReason: Of<FateReason>;
	readonly work: Of<Work>;
	/** How far a signature goes. */
	readonly scope: Of<ScopeName>;
	/** What a signature needs. */
	readonly scopeNeed: Of<ScopeNeed>;
	readonly passage: Of<Passage | 'piston-to-valve' | 'vacuum'>;
	readonly stage: Of<StageName>;
	readonly step: Of<StepCode>;
	readonly way: Of<Way>;
	readonly targetMethod: Of<TargetMethod>;
	readonly settingOrder: Of<SettingOrder>;
	readonly adjuster: Of<Adjuster>;
	readonly engineState: Of<EngineState>;
	readonly measuringOrder: Of<Setup['measuringOrder']>;
	readonly arrangement: Of<Layout['arrangement']>;
	readonly numbering: Of<Layout['numbering']>;
	readonly pairing: Of<Layout['pairing']>;
	readonly casting: Of<NonNullable<Layout['rightHead']>>;
	readonly part: Of<PartType>;
	readonly train: Of<Train>;
	readonly slot: Of<StationPart>;
	readonly gauge: Of<GaugeType>;
	readonly springBuild: Of<SpringBuild>;
	readonly coil: Of<Coil>;
	readonly wayUp: Of<WayUp>;
	readonly groove: Of<Groove>;
	readonly metal: Of<Metal>;
	readonly valveTip: Of<ValveTip>;
	readonly rockerNose: Of<RockerNose>;
	readonly lifter: Of<LifterType>;
	readonly lifters: Of<Setup['lifters']>;
	readonly capRecess: Of<NonNullable<Part<'locks'>['capSeat']>>;
	readonly locatesOn: Of<NonNullable<Part<'locator'>['locatesOn']>>;
	readonly bottomsOn: Of<NonNullable<Part<'seal'>['bottomsOn']>>;
	readonly installOrder: Of<NonNullable<Part<'seal'>['installOrder']>>;
	readonly seatInsert: Of<NonNullable<NonNullable<Setup['head']>['seatInsert']>>;
	readonly damper: Of<NonNullable<Policies['damper']>>;
	readonly usedSprings: Of<NonNullable<Policies['usedSprings']>>;
	readonly controlInPlan: Of<NonNullable<Policies['control']>>;
	readonly usedLocks: Of<NonNullable<Policies['locks']>>;
	readonly measuring: Of<NonNullable<Policies['measuring']>>;
	readonly loadsAgainst: Of<NonNullable<Setup['loadsAgainst']>>;
	readonly aimLift: Of<NonNullable<Setup['aimLift']>>;
	readonly water: Of<NonNullable<Setup['use']['water']>>;
	readonly workLocation: Of<NonNullable<Setup['workLocation']>>;
	readonly camAt: Of<NonNullable<Setup['camAt']>>;
	readonly note: Of<NonNullable<Job['notes'][number]['about']>>;
	readonly condition: Of<ValveInspection['condition']>;
	readonly tipSeen: Of<ValveInspection['tip']>;
	readonly grooveSeen: Of<ValveInspection['groove']>;
	readonly stemSeen: Of<ValveInspection['stem']>;
	readonly seatMark: Of<ValveInspection['seatMark']>;
	readonly sealFound: Of<NonNullable<AsFound['seal']>>;
	readonly contact: Of<NonNullable<ValveInspection['contact']>>;
	readonly pistonMethod: Of<'clay' | 'indicator'>;
	readonly noBind: Of<Extract<BindFound, { type: 'none' }>['why']>;
	readonly match: Of<Match['fits']>;
	readonly evidence: Of<Evidence['what']>;
	readonly timing: Of<'card' | 'duration' | 'long-cam'>;
	/** What somebody may do in a shop on the network, and what its trail notes. */
	readonly role: Of<ShopRole>;
	readonly strength: Of<PasswordStrength>;
	readonly audited: Of<AuditedAct>;
	readonly severity: Of<'stop' | 'watch' | 'note'>;
	readonly phase: Of<Phase>;
	/** Sorts of what is found. */
	readonly found: Of<
		| 'job'
		| 'customer'
		| 'engine'
		| 'set'
		| 'spring'
		| 'kit'
		| 'part'
		| 'station'
		| 'page'
		| 'action'
	>;
	/** Calculators, what they ask for, and what they answer. */
	readonly calculator: Of<CalculatorCode>;
	readonly calculatorField: Of<CalculatorFieldKey>;
	readonly calculatorResult: Of<CalculatorResultKey>;
	/** What a load or a margin stands on. */
	readonly trust: Of<Trust>;
	/** Which jobs a list holds. */
	readonly jobFilter: Of<
		'all' | 'open' | 'waiting' | 'to-verify' | 'came-back' | 'signed-this-week'
	>;
	/** Testers that are no gauge of the shop. */
	readonly tester: Of<typeof MANUAL_TESTER>;
}

/** Any value that has a name. */
export type Token = {
	[D in keyof Labels]: keyof Labels[D];
}[keyof Labels] &
	string;

export type CamLobe = Cam['intake'];
