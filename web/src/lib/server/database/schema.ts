/** The tables, as Kysely types. Rows hold facts; figures are worked out by the core. */
import type { AuditedAct } from '@zinc-ledger/words';
import type { ColumnType, Generated, JSONColumnType } from 'kysely';
import type {
	Decision,
	EntryList,
	Reading,
	Setup,
	Gauge,
	GaugeCheck,
	Sweep,
	Job,
	Kit,
	LibraryPart,
	PartType,
	StationEntry,
	Template,
	Layout,
	LengthUnit,
	SetLimits,
	SpringBuild,
	LoadUnit,
	FigureName,
	Kind,
	Message,
	Served,
	StageName,
	State,
	VisitOf
} from '@zinc-ledger/core';
import type { AuditAbout } from '../../access/audited';
import type { Role } from '../../access/roles';

/** What was measured of a tagged spring besides its sweeps, as length texts. */
export interface SpringMeasured {
	readonly freeHeight?: string | undefined;
	readonly outside?: string | undefined;
	readonly wire?: string | undefined;
	/** What its maker or the shop engraved on it. */
	readonly serial?: string | undefined;
	/** Bind placed by hand on the chart, and who placed it. */
	readonly bind?:
		{ readonly height: string; readonly person: string; readonly at: string } | undefined;
}

/** A document of the shop's library that is found by any of its words. */
interface Kept<Doc extends object> {
	id: string;
	doc: JSONColumnType<Doc>;
	retired: Generated<boolean>;
	revision: Generated<number>;
	search: ColumnType<string, never, never>;
	created_at: Written;
	changed_at: ColumnType<Date, Date | undefined, Date>;
	changed_by: string | null;
}

type Written = ColumnType<Date, Date | string | undefined, never>;
type Json = ColumnType<unknown, string | null, never>;

export interface Tables {
	shop: {
		one: Generated<boolean>;
		mode: 'demo' | 'own';
		/** Another after every restore: browsers then offer again what they sent before. */
		epoch: Generated<string>;
	};
	/** What browsers sent before a restore and the backup has no place for. */
	stray: {
		id: string;
		of: 'reading' | 'sweep';
		/** The job, or the set of springs, that it belongs to. */
		owner: string;
		entry: JSONColumnType<Reading | Sweep>;
		/** Who took it, as the browser says; not there either, it may be. */
		person: string | null;
		arrived: Written;
	};
	person: {
		id: string;
		name: string;
		initials: string;
		/** Taken in at this bench, and not with a job of another shop's. */
		taken_in_here: Generated<boolean>;
		length_unit: LengthUnit | null;
		load_unit: LoadUnit | null;
		created_at: Written;
	};
	/** How a person signs in; none for those who were not invited. */
	sign_in: {
		person_id: string;
		/** In small letters. */
		user_name: string;
		role: Role;
		/** Argon2id, with its salt and cost. */
		password: string;
		/** The same, under this machine's key. */
		pin: string | null;
		ended: Generated<boolean>;
		/** What a phone works its codes out from, as base 32, under this machine's key. */
		second_factor: string | null;
		/** Which of its codes was used last, counted since 1970. */
		second_factor_used: Generated<number>;
	};
	/** A code that makes a sign-in, or gives one a new password; known by its SHA-256. */
	invitation: {
		key: string;
		/** Null for the shop's first owner, who says who that is. */
		person_id: string | null;
		role: Role;
		made_by: string | null;
		until: Date;
		used_at: ColumnType<Date | null, never, Date>;
	};
	/** A browser that is signed in; known by the SHA-256 of what its cookie holds. */
	session: {
		key: string;
		opened_by: string;
		/** Whether several work there, each known by a PIN. */
		at_bench: boolean;
		/** Who is at it; null where nobody is. */
		person_id: string | null;
		by_pin: Generated<boolean>;
		person_until: Date | null;
		used_at: ColumnType<Date, Date | undefined, Date>;
	};
	/** What was done that a shop wants to know of; nobody changes it. */
	audit: {
		id: string;
		what: AuditedAct;
		person_id: string | null;
		about: JSONColumnType<AuditAbout>;
		address: string | null;
		at: Written;
		position: Generated<string>;
	};
	/** A signed sheet that a customer opens by a link; known by the SHA-256 of its token. */
	share: {
		id: string;
		key: string;
		sheet_id: string;
		made_by: string | null;
		made_at: Written;
		until: Date;
		ended_at: ColumnType<Date | null, never, Date>;
		opened: Generated<number>;
		opened_at: ColumnType<Date | null, never, Date>;
	};
	customer: { id: string; name: string; contact: string | null; created_at: Written };
	engine: {
		id: string;
		customer_id: string;
		name: string;
		layout: JSONColumnType<Layout>;
		created_at: Written;
	};
	part: {
		id: string;
		type: PartType;
		doc: JSONColumnType<LibraryPart['part']>;
		stock: number | null;
		/** Of shims, in mm: that of the document, to ask by. */
		thickness: number | null;
		retired: Generated<boolean>;
		revision: Generated<number>;
		search: ColumnType<string, never, never>;
		created_at: Written;
		changed_at: ColumnType<Date, Date | undefined, Date>;
		changed_by: string | null;
	};
	stock_move: {
		id: string;
		part_id: string;
		change: number;
		reason: string;
		/** The job that took it or gave it back; null for what was counted in or out. */
		job_id: string | null;
		person_id: string | null;
		at: Date;
	};
	kit: Kept<Kit>;
	template: Kept<Template>;
	/** Every change of what the shop's jobs start with; the newest of a field counts. */
	shop_limit: {
		id: string;
		field: string;
		from: string | null;
		to: string;
		person_id: string;
		at: Written;
		position: Generated<string>;
	};
	photo: {
		id: string;
		/** Null for the paper of a kit. */
		job_id: string | null;
		/** Null for what came with the head, and for the paper of a kit. */
		station: string | null;
		/** The mark that it shows; null for a photo of nothing in particular. */
		evidence: string | null;
		kit_id: string | null;
		width: number;
		height: number;
		content: Buffer;
		thumbnail: Buffer;
		person_id: string;
		at: Written;
	};
	job: {
		id: string;
		number: string;
		customer_id: string;
		engine_id: string;
		taken_in: Date;
		setup: JSONColumnType<Setup>;
		search: Generated<string>;
		revision: Generated<number>;
		changed_by: string | null;
		changed_at: ColumnType<Date, Date | undefined, Date>;
		/** What it starts from, where its heads were here before. */
		visit_of: ColumnType<VisitOf | null, string | null | undefined, never>;
		/** Who brought it in from a file; null for one begun here. */
		imported_by: ColumnType<string | null, never, string>;
		imported_at: ColumnType<Date | null, never, Date>;
	};
	/** A head wherever it is fitted; on no engine where another took its place. */
	cylinder_head: {
		id: Generated<string>;
		engine_id: string | null;
		/** Which of the engine's heads it is. */
		place: string;
		mark: string | null;
		created_at: Written;
	};
	/** A head on a job: one visit of it. */
	head: {
		job_id: string;
		id: string;
		position: number;
		name: string;
		cylinder_head_id: string;
		/** Whether the job document itself says which head it is. */
		stated: Generated<boolean>;
	};
	station: {
		job_id: string;
		label: string;
		position: number;
		head_id: string;
		entry: JSONColumnType<StationEntry>;
	};
	reading: {
		id: string;
		job_id: string;
		station: string;
		quantity: Reading['quantity'];
		read: string;
		gauge: JSONColumnType<Reading['gauge']>;
		in_place: JSONColumnType<Reading['inPlace']>;
		engine_state: Reading['engine'] | null;
		came_from: NonNullable<Reading['from']> | null;
		set_id: string | null;
		lash: JSONColumnType<NonNullable<Reading['lash']>> | null;
		clock: JSONColumnType<NonNullable<Reading['clock']>> | null;
		person_id: string;
		at: Date;
		position: Generated<string>;
	};
	shop_key: {
		public_key: string;
		made_at: Generated<Date>;
	};
	shop_key_secret: {
		public_key: string;
		private_key: string;
	};
	signed_sheet: {
		id: string;
		job_id: string;
		revision: number;
		/** Entries the job had when it was signed. */
		entries: number;
		/** Canonical JSON, byte for byte as it was signed. */
		content: string;
		sha256: string;
		person_id: string;
		at: Date;
	};
	reading_void: {
		id: string;
		job_id: string;
		reading_id: string;
		reason: string;
		person_id: string;
		at: Date;
		position: Generated<string>;
	};
	job_entry: {
		id: string;
		job_id: string;
		list: EntryList;
		entry: JSONColumnType<Job[EntryList][number]>;
		person_id: string;
		position: Generated<string>;
	};
	gauge: {
		id: string;
		doc: JSONColumnType<Gauge>;
		revision: Generated<number>;
		created_at: Written;
		changed_by: string | null;
	};
	/** Words that jobs are found by; kept by a trigger. */
	job_word: { word: string };
	gauge_check: {
		id: string;
		gauge_id: string;
		doc: JSONColumnType<GaugeCheck>;
		person_id: string;
		at: Date;
	};
	spring_set: {
		id: string;
		name: string;
		card_id: string | null;
		job_id: string | null;
		seat: string;
		lift: string;
		/** How its springs are wound, where it has no card that says so. */
		build: Generated<SpringBuild | null>;
		/** Limits of its own; the usual ones where it has none. */
		limits: ColumnType<Partial<SetLimits> | null, string | null | undefined, string | null>;
		created_at: Written;
		created_by: string;
	};
	spring: {
		id: string;
		set_id: string;
		position: number;
		tag: string;
		measured: ColumnType<SpringMeasured, string | undefined, string>;
	};
	sweep: {
		id: string;
		spring_id: string;
		doc: JSONColumnType<Sweep>;
		person_id: string;
		at: Date;
		position: Generated<string>;
	};
	decision: {
		id: string;
		job_id: string;
		subject: Decision['subject'];
		from: Json;
		to: Json;
		reason: string | null;
		person_id: string;
		at: Date;
		position: Generated<string>;
	};
	/** Derived: how a job stands, and what it was worked out from. */
	job_state: {
		job_id: string;
		source: string;
		stations: number;
		stops: string[];
		unclear: number;
	};
	job_stage: {
		job_id: string;
		position: number;
		stage: StageName;
		done: boolean;
		blocks: boolean;
		note: ColumnType<Message | null, string | null, never>;
	};
	/** Derived: what a job cannot be built without and has not. */
	part_need: {
		job_id: string;
		part: PartType;
		kind: Kind | null;
		/** Of shims, in mm. */
		thickness: number | null;
		wanted: number;
		/** What the job itself counts; null where nobody did. */
		counted: number | null;
	};
	/** Derived: the figures of every signed sheet, in mm, N and kPa. */
	station_result: {
		sheet_id: string;
		job_id: string;
		revision: number;
		station: string;
		kind: Kind;
		figure: FigureName;
		value: number | null;
		uncertainty: number | null;
		state: State;
	};
	/** Derived: what every sweep says of its spring, in mm, N, N/mm and J. */
	spring_result: {
		sweep_id: string;
		source: string;
		spring_id: string;
		set_id: string;
		job_id: string | null;
		tag: string;
		serial: string | null;
		card_id: string | null;
		card: string | null;
		batch: string | null;
		at: Date;
		/** The days on which the spring was tested, counted from 1. */
		visit: number;
		/** The nominal height that its seat load is told at. */
		height: number;
		seat_load: number | null;
		open_load: number | null;
		rate: number | null;
		bind: number | null;
		energy: number | null;
		/** What the spring had run when it was tested. */
		hours: Generated<number>;
		runs: Generated<number>;
		kilometres: Generated<number>;
	};
	/** Every change of what a part may run; the newest for a part and duty counts. */
	service_limit: {
		id: string;
		part_id: string;
		/** Null for every duty that has none of its own. */
		duty: string | null;
		hours: number | null;
		runs: number | null;
		kilometres: number | null;
		cycles: number | null;
		/** The part of its life that one over-speed event costs. */
		over_speed: number | null;
		person_id: string;
		at: Written;
		position: Generated<string>;
	};
	/** Derived: what a part ran before a visit, as it was told there; null where nobody did. */
	service_run: ServedItem & {
		job_id: string;
		until: Date;
		hours: number | null;
		runs: number | null;
		kilometres: number | null;
		cycles: number | null;
		over_speed: number | null;
	};
	/** Derived: what a part has run in all, and the part of its life that is. */
	service_item: ServedItem & {
		hours: number;
		runs: number;
		kilometres: number;
		cycles: number;
		over_speed: number;
		/** 1 at its limit; null where there is none. */
		used: number | null;
	};
}

/** A part whose service is counted: a tagged spring wherever it stands, another at its station of a head. */
interface ServedItem {
	item: string;
	part: Served;
	spring_id: string | null;
	part_id: string | null;
	name: string | null;
	cylinder_head_id: string;
	station: string;
	duty: string;
}
