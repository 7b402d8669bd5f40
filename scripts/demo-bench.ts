/** A made-up bench: what happened to a job of the demo, one thing after another. */
import loadHighs from 'highs';
import { v5 as named } from 'uuid';
import {
	assemblyOf,
	evaluate,
	inPlaceFor,
	lengthText,
	lockHalves,
	mm,
	shimChanges,
	withPlan,
	type Job,
	type Person,
	type Quantity,
	type Reading,
	type Setup,
	type StationEntry
} from '@zinc-ledger/core';
import { highsSolver, planJob } from '@zinc-ledger/core/planner';

const SPACE = '3c0b7c52-7a0e-4f0c-9d55-0a61f2a0d9e1';
/** The id that a name has in the demo, whenever it is made. */
export const id = (name: string) => named(name, SPACE);

/** One standard deviation of the gauges' corrections and of one reading, by unit. */
const KNOWN = {
	height: { mm: ['0.005 mm', '0.010 mm'], in: ['0.0002 in', '0.0004 in'] },
	'seal-gap': { mm: ['0.008 mm', '0.012 mm'], in: ['0.0003 in', '0.0005 in'] },
	lash: { mm: ['0.003 mm', '0.008 mm'], in: ['0.0001 in', '0.0003 in'] }
} as const;

/** What happened to a job, one thing after another, some minutes apart. */
export class Bench {
	job: Job;
	#at: number;
	#count = 0;
	readonly #random: () => number;

	constructor(job: Job, begun: string, random: () => number) {
		this.job = job;
		this.#at = Date.parse(begun);
		this.#random = random;
	}

	entry(by: Person = this.job.people[0]!) {
		this.#at += 40_000 + Math.floor(this.#random() * 30_000);
		const at = new Date(Math.floor(this.#at / 1000) * 1000).toISOString();
		return { id: id(`${this.job.number} ${this.#count++}`), person: by.id, at };
	}

	inspect(condition: 'new' | 'reused') {
		for (const { label } of this.job.stations)
			this.job.inspections.push({
				...this.entry(),
				station: label,
				condition,
				tip: 'good',
				groove: 'good',
				stem: 'good',
				seatMark: 'even'
			});
	}

	/** Reads a quantity at stations, as a gauge of this resolution shows it. */
	read(
		quantity: Quantity,
		value: (station: StationEntry) => number,
		stations: readonly StationEntry[] = this.job.stations,
		as: 'found' | 'set' = 'set'
	) {
		const unit = this.#isMetric ? 'mm' : 'in';
		const resolution = this.#isMetric ? 0.01 : 0.0254;
		for (const station of stations) {
			const round = { locator: true, shims: quantity !== 'installed-height', recess: `0 ${unit}` };
			const reading: Reading = {
				...this.entry(),
				station: station.label,
				quantity,
				read: lengthText(mm(Math.round(value(station) / resolution) * resolution), unit),
				gauge: {
					name: quantity === 'lash' ? 'Feeler gauges' : 'Height gauge',
					resolution: this.#isMetric ? '0.01 mm' : '0.001 in',
					correction: '0 mm',
					...this.#knownOf(quantity)
				},
				inPlace: inPlaceFor(this.job, station, quantity, { ...round, sealHome: true }),
				...(quantity === 'lash' && {
					engine: 'cold' as const,
					lash: { as, marked: as === 'set' }
				})
			};
			this.job.readings.push(reading);
		}
	}

	/** How well the shop knows its gauges: each was checked, and read again often enough. */
	#knownOf(quantity: Quantity) {
		const of = quantity === 'lash' ? 'lash' : quantity === 'seal-gap' ? 'seal-gap' : 'height';
		const [correctionError, repeatability] = KNOWN[of][this.#isMetric ? 'mm' : 'in'];
		return { correctionError, repeatability, repeatabilityFreedom: 24 };
	}

	get #isMetric() {
		return this.job.setup.shimStock.some(({ thickness }) => thickness.endsWith('mm'));
	}

	/** Takes on every finding of fit that may be taken on, as the shop looked into it. */
	accept(reason: string) {
		for (const { key } of evaluate(this.job).fit.filter(
			({ outcome, severity }) => outcome === 'fails' && severity === 'watch'
		))
			this.job.acceptances.push({ ...this.entry(), finding: key, accepted: true, reason });
	}

	/** Plans the whole job and accepts it. */
	async plan() {
		const answer = await planJob(
			{
				job: this.job,
				shims: [],
				placeSprings: (this.job.setup.springs ?? []).length > 0,
				fixed: [],
				lockStock: []
			},
			{ solver: async () => highsSolver(await loadHighs()) }
		);
		if (answer.type !== 'plan') throw new Error(`${this.job.number}: ${JSON.stringify(answer)}`);
		const before = this.job.stations;
		const planned = withPlan(this.job, answer.stations);
		this.job = {
			...planned,
			plans: [
				{
					...this.entry(),
					proven: answer.proven,
					before: before.map((entry) => ({ ...entry })),
					stations: answer.stations.map(({ label, shims, locks, spring }) => ({
						label,
						shims: [...shims],
						...(locks && { locks }),
						...(spring !== undefined && { spring })
					}))
				}
			]
		};
		if (shimChanges(before, planned.stations).length === 0)
			throw new Error(`${this.job.number}: a plan that changes nothing`);
	}

	/** Ticks steps of the assembly in their order, a part of them or all. */
	assemble(part = 1) {
		const { steps } = assemblyOf(this.job, evaluate(this.job));
		const entries = steps.slice(0, Math.round(steps.length * part)).map((step) => ({
			...this.entry(),
			place: step.place,
			step: step.step,
			done: true,
			...(step.counts && { count: lockHalves(this.job) })
		}));
		this.job = { ...this.job, assembly: entries };
	}

	tryVacuum(reached: () => string) {
		const { vacuum } = this.job.setup.limits;
		for (const { label } of this.job.stations)
			this.job.checks.push({
				...this.entry(this.job.people[1]),
				type: 'vacuum',
				station: label,
				reached: reached(),
				min: vacuum.min,
				seconds: vacuum.seconds
			});
	}

	/** The height that the build should have at a station, from the reading in force. */
	builtHeight = ({ label }: StationEntry) =>
		evaluate(this.job).stations.find((one) => one.label === label)!.figures.height.figure!;
}

/** Another job's parts and limits, without what belongs to its own engine. */
const OWN = new Set(['cam', 'growth', 'compression', 'customerStatement']);
export const setupOf = (job: Job, change: Partial<Setup>): Setup => ({
	...(Object.fromEntries(
		Object.entries(structuredClone(job.setup)).filter(([name]) => !OWN.has(name))
	) as unknown as Setup),
	...change
});
