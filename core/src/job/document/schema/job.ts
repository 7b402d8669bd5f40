/** The job document whole, and what its entries must agree in. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { Id, Line, Moment, Name } from '../../../foundation/units/schema.ts';
import { HISTORY } from '../append-only-lists.ts';
import { AssemblyStep, Check } from './build.ts';
import { Acceptance, Decision, Note } from './decision.ts';
import { Layout } from './layout.ts';
import { Motions } from './motions.ts';
import { Person } from './person.ts';
import { Plan } from './plan.ts';
import { Reading, VoidEntry } from './reading.ts';
import { Setup } from './setup.ts';
import { StationEntry } from './station.ts';
import { Look, CaseOutcome, Since, Trial, VisitOf } from './visit.ts';
import { AsFound, HeadWork, Inspection } from './work.ts';

declare module '../../../foundation/message/issue.ts' {
	interface FieldMessages {
		'job.no-head': { readonly head: string };
		'job.no-station': { readonly station: string };
		'job.voids-unknown': null;
		'job.unknown-person': null;
	}
}

export const FORMAT = 'zinc-ledger/job';
export const VERSION = 3;

export const Job = z
	.strictObject({
		format: z.literal(FORMAT, {
			error: issue('file.other-format', { what: 'job', format: FORMAT })
		}),
		version: z.literal(VERSION, { error: issue('file.other-version', { reads: VERSION }) }),
		id: Id,
		number: Name,
		takenIn: Moment,
		customer: z.strictObject({ id: Id, name: Name, contact: Line.optional() }),
		engine: z.strictObject({
			id: Id,
			name: Name,
			layout: Layout
		}),
		/** None where the head was not here before. */
		visitOf: VisitOf.optional(),
		setup: Setup,
		heads: z
			.array(
				z.strictObject({
					id: Name,
					name: Name,
					/** Which head it is, wherever it is fitted; one that says nothing is the engine's in this place. */
					identity: Id.optional(),
					/** Its casting or serial number, or the shop's own label. */
					mark: Name.optional()
				})
			)
			.min(1)
			.max(2),
		stations: z.array(StationEntry).min(1, issue('field.required')).max(80),
		people: z.array(Person),
		readings: z.array(Reading),
		voids: z.array(VoidEntry),
		decisions: z.array(Decision),
		inspections: z.array(Inspection).default([]),
		headWork: z.array(HeadWork).default([]),
		acceptances: z.array(Acceptance).default([]),
		plans: z.array(Plan).default([]),
		assembly: z.array(AssemblyStep).default([]),
		checks: z.array(Check).default([]),
		notes: z.array(Note).default([]),
		asFound: z.array(AsFound).default([]),
		motions: z.array(Motions).default([]),
		since: z.array(Since).default([]),
		looks: z.array(Look).default([]),
		trials: z.array(Trial).default([]),
		outcomes: z.array(CaseOutcome).default([])
	})
	.superRefine((job, context) => {
		const problem = (path: (string | number)[], message: string) =>
			context.addIssue({ code: 'custom', path, message });
		const known = {
			heads: new Set(job.heads.map((head) => head.id)),
			stations: new Set(job.stations.map((station) => station.label)),
			people: new Set(job.people.map((person) => person.id)),
			readings: new Set(job.readings.map((reading) => reading.id))
		};
		onlyOnce(job.stations, 'label', (i) =>
			problem(['stations', i, 'label'], issue('field.duplicate', { what: 'station' }))
		);
		onlyOnce(job.readings, 'id', (i) =>
			problem(['readings', i, 'id'], issue('field.duplicate', { what: 'reading' }))
		);
		job.stations.forEach((station, i) => {
			if (!known.heads.has(station.head))
				problem(['stations', i, 'head'], issue('job.no-head', { head: station.head }));
		});
		job.readings.forEach((reading, i) => {
			if (!known.stations.has(reading.station))
				problem(['readings', i, 'station'], issue('job.no-station', { station: reading.station }));
		});
		job.voids.forEach((entry, i) => {
			if (!known.readings.has(entry.reading))
				problem(['voids', i, 'reading'], issue('job.voids-unknown'));
		});
		for (const list of ['inspections', 'checks', 'notes', 'asFound'] as const) {
			job[list].forEach(({ station }, i) => {
				if (station !== undefined && !known.stations.has(station))
					problem([list, i, 'station'], issue('job.no-station', { station }));
			});
		}
		job.motions.forEach(({ stations }, i) => {
			stations.forEach(({ label }, k) => {
				if (!known.stations.has(label))
					problem(['motions', i, 'stations', k], issue('job.no-station', { station: label }));
			});
		});
		job.looks.forEach(({ seen }, i) => {
			seen.forEach(({ stations = [] }, k) => {
				for (const station of stations)
					if (!known.stations.has(station))
						problem(['looks', i, 'seen', k], issue('job.no-station', { station }));
			});
		});
		job.headWork.forEach((entry, i) => {
			entry.stations?.forEach((station, k) => {
				if (!known.stations.has(station))
					problem(['headWork', i, 'stations', k], issue('job.no-station', { station }));
			});
			if (entry.head && !known.heads.has(entry.head))
				problem(['headWork', i, 'head'], issue('job.no-head', { head: entry.head }));
		});
		for (const list of HISTORY) {
			job[list].forEach((entry, i) => {
				if (!known.people.has(entry.person))
					problem([list, i, 'person'], issue('job.unknown-person'));
			});
		}
	});

function onlyOnce<T>(list: readonly T[], key: keyof T, twice: (index: number) => void) {
	const seen = new Set<unknown>();
	list.forEach((item, i) => {
		if (seen.has(item[key])) twice(i);
		seen.add(item[key]);
	});
}

export type Job = z.infer<typeof Job>;
