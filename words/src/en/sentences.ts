/** Everything the program says of a job, a file or an entry, in English. */
import {
	cubicCentimetres,
	FIGURES,
	mm,
	newtons,
	readAs,
	type FigureName,
	type Inspected,
	type StopCode
} from '@zinc-ledger/core';
import type { Sentences } from '../catalogue.ts';
import {
	byPercent,
	capital,
	joined,
	length,
	load,
	percent,
	say,
	speed,
	volume,
	type Phrase
} from '../phrase.ts';
import { labels } from './labels.ts';
import { faced } from './common.ts';
import { fitSentences } from './fit.ts';

const stack = (shims: Parameters<typeof length>[0][]): Phrase =>
	joined(
		shims.map((shim) => [length(shim)]),
		' + '
	);

const LOBE_FAULT = {
	'too-few-lines': 'Lift table has too few lines on the lobe',
	'one-angle-twice': 'Lift table has one angle twice',
	'not-one-peak': 'Lift table rises and falls more than once',
	'does-not-close': 'Lift table does not come down to the base circle',
	'lines-missing': 'Lift table has lines missing on the lobe',
	'wrong-figure':
		'Lift table has a figure that does not fit its neighbors: check it for a typing error',
	'inches-as-mm': 'Lift table peaks below 2 mm: its figures look like inches',
	'odd-duration':
		'Duration at 0.050 in of lobe lift is outside 160° to 336° of the crankshaft: check whether cam and crankshaft degrees were mixed up, then correct or confirm the cam',
	'too-many-lines': 'Lift table has more than 4,000 lines',
	'no-ratio': 'The rocker ratio must be above zero',
	'too-high': 'Lift table rises above 2 in (50 mm): check its unit',
	'too-coarse': 'Lift table is too coarse to tell the acceleration',
	'no-such-lobe': 'No lobe has this lift with these durations'
} as const;
const FORGOTTEN = { locator: 'a locator', shims: 'the shims', locks: 'the lock offset' } as const;
const QUANTITY = {
	length: 'a length in in or mm, such as "1.820 in"',
	load: 'a load in lbf, N or kgf, such as "130 lbf"',
	'length-or-load': 'a length in in or mm, or a load in lbf, N or kgf, such as "1.820 in"',
	measured: 'a length, a load or a volume, such as "1.820 in"',
	rate: 'a rate in lbf/in, N/mm or kgf/mm, such as "340 lbf/in"',
	mass: 'a mass in g or kg, such as "32.5 g"',
	volume: 'a volume in cc, such as "46.5 cc"',
	pressure: 'a pressure in psi, bar or kPa, such as "15 psi"',
	vacuum: 'a vacuum in inHg, mbar or kPa, such as "20 inHg"',
	inertia: 'a moment of inertia in kg·mm², such as "31 kg·mm²"'
} as const;
const FILE = {
	job: 'job file',
	parts: 'parts file',
	kits: 'kits file',
	sweep: 'sweep file',
	'signed-sheet': 'signed sheet'
} as const;
const LIMIT_NAME = {
	heightTolerance: 'the tolerance',
	bindFloor: 'the minimum',
	bindAim: 'the target',
	outlierMin: 'the minimum',
	sagWatch: 'the watch limit'
} as const;
const inUnit = (count: number, unit: string | undefined) => {
	const text = count.toLocaleString('en');
	if (unit === undefined) return text;
	return unit === '°' ? `${text}°` : `${text} ${unit}`;
};
const UNKNOWN = {
	job: 'job',
	part: 'part',
	kit: 'kit',
	template: 'template',
	gauge: 'gauge',
	engine: 'engine',
	head: 'head',
	set: 'set',
	photo: 'photo',
	mark: 'mark',
	page: 'page',
	action: 'action',
	sweep: 'sweep',
	'signed-sheet': 'signed sheet',
	output: 'output of a signed sheet',
	share: 'link'
} as const;

/** What of a figure is somebody's word; a sheet that was signed before it was named has none. */
const BEHIND = {
	height: 'The height is',
	'seal-gap': 'The seal gap is',
	lift: 'The lift behind this is',
	spring: 'The spring’s figures behind this are',
	'coil-bind': 'The coil bind behind this is',
	target: 'The target behind this is',
	lash: 'The lash wanted is',
	unknown: 'A figure behind this is'
} as const;

/** Loads that differ by less, in newtons, read alike in any unit. */
const ALIKE = 0.5;

/** Which face goes up, as somebody wrote it. */

/** A figure of an inspection, by what it is read as. */
const inspectedBy = (quantity: Inspected, by: number) =>
	readAs(quantity) === 'volume' ? volume(cubicCentimetres(by)) : length(mm(by));

/** A figure in its reader's units, a space before it; a vacuum is told by what was reached. */
function measured(figure: FigureName, value: number): Phrase {
	const { dimension } = FIGURES[figure];
	if (dimension === 'pressure') return [];
	if (dimension === 'volume') return [' ', volume(cubicCentimetres(value))];
	if (dimension === 'speed') return [' ', speed(value)];
	return [' ', dimension === 'load' ? load(newtons(value)) : length(mm(value))];
}

/** Reasons not to run or crank the engine, each with what to do. */
const DO_NOT_RUN: Readonly<Record<StopCode, string>> = {
	'piston-contact':
		'Valve-to-piston contact. Do not turn the engine before a borescope inspection.',
	'spring-cracked':
		'Cracked, broken or pitted spring. Do not compress it; replace it and account for every piece.',
	'valve-bent': 'Bent valve. Replace it, and check its guide and piston.',
	'seat-loose': 'Loose valve seat. Replace the seat.',
	'locks-pulled':
		'Locks may have pulled through the retainer. Measure tip length with the valve out; replace retainer and locks.',
	'locks-not-seated': 'Locks missing, mismatched or not seated. Fit a matching set and seat it.',
	'part-damaged': 'Damaged groove, retainer, rocker or stud. Replace the part.',
	'bare-titanium-tip': 'Bare titanium tip. Fit a lash cap or a hardened tip.',
	'no-oil': 'No oil at the rockers. Restore the oil supply.',
	'coil-bind':
		'Spring goes solid before full lift. Fit thinner shims, plus locks or another spring.',
	'retainer-on-seal': 'Retainer touches the seal at full lift. Fit a shorter seal or plus locks.',
	'retainer-on-rocker': 'Rocker touches the retainer. Fit minus locks or a lash cap.',
	'pushed-open': 'Port pressure pushes the valve off its seat. Fit more seat load.'
};

export const sentences: Sentences = {
	// In general
	needs: ({ of }, tell) => say`needs ${joined(of.map(tell), ', ')}`,
	list: ({ of }, tell) => joined(of.map(tell), '; '),
	name: ({ name }) => name,
	'of-kind': ({ kind, says }, tell) => say`${labels.kind[kind]}: ${tell(says)}`,
	'at-station': ({ station, says }, tell) => say`${station}: ${tell(says)}`,
	'figure.not-finite': 'No finite figure: check what it was calculated from',
	'figure.unconfirmed': ({ source, of }) =>
		`${BEHIND[of ?? 'unknown']} ${source === 'customer' ? 'from the customer' : 'from memory'}: confirm it`,
	'figure.not-known': ({ figure, why }, tell) =>
		why ? say`${labels.figure[figure]}: ${tell(why)}` : labels.figure[figure],
	'figure.judged': ({ figure, value, says }, tell) => {
		const named = say`${labels.figure[figure]}${value === null ? '' : measured(figure, value)}`;
		return says ? say`${named}: ${tell(says)}` : named;
	},

	// What a figure needs
	'need.height': 'a height reading',
	'need.seal-gap': 'a seal gap reading',
	'need.lash': 'a lash reading',
	'need.four-heights': 'four heights of this kind before an outlier can be told',
	'need.lift': 'the valve lift',
	'need.bind': 'the coil bind height',
	'need.rate': 'the spring’s rate, or a second height with its load',
	'need.spring': 'a spring',
	'need.train': 'the type of valve train',
	'need.rocker.ratio': 'the rocker ratio',
	'need.valve.mass': 'the valve’s mass, or its stem, length and head',
	'need.retainer.mass': 'the retainer’s mass',
	'need.locks.mass': 'the locks’ mass',
	'need.lash-cap.mass': 'the lash cap’s mass',
	'need.spring.mass': 'the spring’s mass',
	'need.lifter.mass': 'the follower’s mass',
	'need.rocker.inertia': 'the rocker’s moment of inertia and arm',
	'need.pushrod-mass': 'the pushrod’s mass',
	'need.valve.head': 'valve head diameter',
	'lobe.fault': ({ fault }) => LOBE_FAULT[fault],
	'control.below-speed': ({ limit, speed: highest }) =>
		`Spring loses the valve by ${speed(limit)} at the latest, highest speed ${speed(highest)}: stiffer or shorter, or lighter parts`,
	'control.little-headroom': ({ limit, wanted }) =>
		`Spring loses the valve by ${speed(limit)} at the latest, ${speed(wanted)} wanted with headroom`,
	'control.too-close': 'Highest speed too close to where the spring loses the valve',
	'control.not-known': ({ limit }) =>
		`Not lost below ${speed(limit)} if the train were rigid; a real one parts sooner: not known`,
	'control.motion-outdated':
		'Motion calculated before something of the train changed: calculate it again',
	'control.motion-too-short': ({ to, wanted }) =>
		`Motion looked at to ${speed(to)} only, ${speed(wanted)} wanted with headroom: calculate it again`,
	'control.motion-depends': ({ lost, surely, speed: at }) =>
		`Off its cam or bouncing from ${speed(lost)} on a soft train, ${surely === null ? 'never' : `from ${speed(surely)}`} on a stiff one, ${speed(at)} wanted: too close until its stiffness is known`,
	'control.motion-lost': ({ lost, speed: at }) =>
		`Valve off its cam or bouncing from ${speed(lost)}, ${speed(at)} wanted: stiffer, shorter or lighter`,
	'net-seat-load.pushed-open': ({ wanted }) =>
		say`Port pressure lifts the valve off its seat: ${load(wanted)} seat load needed`,
	'net-seat-load.low': ({ by, wanted }) =>
		say`Net seat load ${load(by)} short under port pressure: ${load(wanted)} seat load needed`,
	'net-seat-load.too-close': 'Net seat load too close to nothing: measure the height again',
	'need.locks': 'locks',
	'need.locator': 'a locator',
	'need.rocker': 'a rocker to judge it by',
	'need.target': 'a target height',
	'need.seat-load': 'a seat load to compare with',
	'need.seat-load-target': 'a seat load to judge by',
	'need.open-load-target': 'an open load to judge by',
	'need.lash-setting': 'a lash setting',
	'need.preload-setting': 'a preload setting',
	'need.valve.stem': 'valve stem diameter',
	'need.locks.stem': 'lock stem diameter',
	'need.seal.stem': 'seal stem diameter',
	'need.guide.stem': 'guide bore',
	'need.lash-cap.stem': 'lash cap stem diameter',
	'need.locks.bead': 'lock bead',
	'need.valve.groove': 'valve groove',
	'need.locks.angle': 'lock angle',
	'need.retainer.angle': 'retainer angle',
	'need.valve.material': 'valve material',
	'need.valve.tip': 'valve tip',
	'need.locks.holds-tip': 'tip support of the locks',
	'need.locks.cap-recess': 'cap recess of the locks',
	'need.valve.tip-length': 'valve tip length',
	'need.locks.min-tip': 'min tip length of the locks',
	'need.locks.max-tip': 'max tip length of the locks',
	'need.retainer.maker': 'retainer maker',
	'need.locks.maker': 'lock maker',
	'need.lash-cap.maker': 'lash cap maker',
	'need.rocker.nose': 'rocker nose',
	'need.tip-height': 'a tip height reading',
	'need.spring.innermost-coil': 'innermost coil of the spring',
	'need.seal.outside': 'seal OD',
	'need.spring.build': 'spring type',
	'need.spring.outside': 'spring OD',
	'need.locator.locates-on': 'what the locator locates on',
	'need.locator.cup': 'locator cup ID',
	'need.locator.spigot': 'locator spigot OD',
	'need.pocket.diameter': 'pocket diameter',
	'need.guide.boss': 'guide boss OD',
	'need.spring.coils': 'coils of the spring',
	'need.retainer.landings': 'retainer landings',
	'need.head.material': 'head material',
	'need.spring.max-lift': 'max lift of the spring',
	'need.open-load': 'open load',
	'need.lifter.max-load': 'max load of the lifter',
	'need.spring.batch': 'spring batch',
	'need.engine-speed': 'highest engine speed',
	'need.head.seat-insert': 'seat insert',
	'need.valve.facing': 'valve facing',
	'need.spring.requires-new': 'whether the set requires new seals and locks',
	'need.shim.diameters': 'ID and OD of the shim',

	// Installed height
	'height.inconclusive': 'Height too close to call: measure it again',
	'height.answer-first': 'Answer first what stood under the gauge on this head',
	'height.in-dead-band': ({ by }) => say`${length(by)} off target, inside the dead band: leave it`,
	'height.off-by-locator': ({ by, way }) =>
		say`${length(by)} ${way} than its kind, just the locator’s thickness: was it under the gauge?`,
	'height.taller': ({ by }) =>
		say`${length(by)} taller than the rest of its kind: inspect the seat, it may have sunk`,
	'height.shorter': ({ by }) =>
		say`${length(by)} shorter than the rest of its kind: inspect valve, retainer and gauge`,
	'height.readings-disagree': ({ people, times, by }) =>
		say`${people === 'two' ? 'Read by two people' : times > 2 ? `Read ${times} times` : 'Read twice'}, ${length(by)} apart: void one or read again`,
	'head.read-tall': ({ head, valves, by, part }) =>
		say`All ${valves} valves of the ${head} read ${length(by)} too tall, just ${FORGOTTEN[part]}: was it left out when they were measured?`,
	'head.read-short': ({ head, valves, by, part }) =>
		say`All ${valves} valves of the ${head} read ${length(by)} too short, just ${FORGOTTEN[part]}: was it in place after all when they were measured?`,
	'head.taller': ({ head, other, intake, exhaust }) =>
		say`The ${head} stands ${length(intake)} and ${length(exhaust)} taller than the ${other}, intakes and exhausts: a part left out there, or another valve job`,
	'as-built.inconclusive': 'As-built height too close to call: measure it again',
	'as-built.off': ({ by, way, cause }, tell) =>
		say`Built ${length(by)} ${way} than planned: ${tell(cause)}`,
	'cause.shim-left-out': ({ shim }) => say`the ${length(shim)} shim left out?`,
	'cause.shim-in-twice': ({ shim }) => say`the ${length(shim)} shim in twice?`,
	'cause.locator-left-out': 'locator left out?',
	'cause.other-locks': 'plus locks planned, others fitted?',
	'cause.taller': 'locks not seated, a shim left out, or the gauge',
	'cause.shorter': 'a shim too many, another retainer or locks, or the gauge',

	// Target height
	'target.card-height': 'card height',
	'target.bind-cushion': ({ bind, lift, cushion }) =>
		say`bind ${length(bind)} + lift ${length(lift)} + cushion ${length(cushion)}`,
	'target.seat-load': ({ load: at }) => say`seat load of ${load(at)}`,
	'target.open-load': ({ load: at }) => say`open load of ${load(at)}`,
	'target.as-it-stands': 'no target: each height is judged by its loads',
	'target.outside-curve': ({ load: of }, tell) =>
		say`${tell(of)} is outside the spring’s known range`,
	'target.from-card-line': ({ load: of }, tell) =>
		say`${tell(of)}, from the card’s line: not tested`,

	// Shims
	'shims.fit': ({ shims }) => say`Shim ${stack([...shims])}`,
	'shims.swap': ({ shims }) => say`Swap the shims for ${stack([...shims])}`,
	'shims.take-out': 'Take the shims out',
	'shims.leave': 'Off target, yet inside the dead band: leave it',
	'shims.none-closer': 'No shim in stock brings it closer',
	'shims.none-holds-bind': 'No shim in stock keeps the min bind margin',
	'stock.too-few': ({ shim, suggested, stock }) =>
		say`Shims ${length(shim)}: ${suggested} suggested, ${stock} in stock`,

	// Loads
	'seat-load.inconclusive': 'Seat load too close to call: measure the height again',
	'seat-load.off': ({ by, way, target }) =>
		say`Seat load ${load(by)} ${way} the ${load(target)} required`,
	'open-load.off': ({ by, way, target }) =>
		say`Open load ${load(by)} ${way} the ${load(target)} required`,
	'open-load.above-max': ({ by }) => say`Open load ${load(by)} above what the lifter stands`,
	'head-load.off-target': ({ load: read, part, way }) =>
		say`On the head ${load(read)}, ${percent(part)} ${way} the seat load aimed for; its height is not measured`,
	'head-load.apart': ({ part, way }) =>
		`On-head load is ${percent(part)} ${way} the middle of its kind: weigh the spring, look at the height and at what lies under it`,
	'head-load.under': ({ load: read, part }) =>
		say`On the head ${load(read)}, ${percent(part)} under the curve at this height: shim left out, wrong spring, or the tester’s factor`,
	'head-load.over': ({ load: read, part }) =>
		say`On the head ${load(read)}, ${percent(part)} over the curve at this height: wrong spring, a shim too many, or the tester’s factor`,
	'spring.not-tested-at': ({ height }) => say`Spring not tested at ${length(height)}`,
	'spring.test-further': ({ height, end, way }) =>
		say`No load at ${length(height)}: the spring was tested ${way === 'up' ? 'up' : 'down'} to ${length(end)} only. Test it again ${way === 'up' ? 'from a taller height' : 'further down'}, or use its card’s line there (Setup)`,
	'spring.solid-before': ({ height }) => say`Spring is solid before ${length(height)}`,
	'spring.beyond-card': ({ height }) =>
		say`${length(height)} is lower than its card goes, and coil bind is not known`,
	'spring.sampled': ({ kind, tested, of }) =>
		`${labels.kind[kind]}s: the curve of ${tested} tested of ${of} springs serves all of them`,
	'spring.free-below': ({ height }) => say`${length(height)} is above the spring’s free height`,
	'spring.card-line-at': ({ height }) =>
		say`Load at ${length(height)} is from the card’s line: not tested there`,
	'spring.lost-load': ({ load: now, card, height, part }) =>
		say`Spring has ${load(now)} at ${length(height)}, ${percent(part)} under its card’s ${load(card)}: test it again, replace it`,
	'spring.not-its-card': ({ card, matches }) =>
		`the tested spring does not match card ${card}; it matches ${matches || 'no card in the library'}`,
	'spring.rate-disagrees':
		'the card’s rate does not fit its two loads; the loads are used. Test the spring',
	'spring.bind-margin-short': ({ margin, min }) =>
		say`bind margin ${length(margin)}, min ${length(min)}`,
	'spring.bind-margin-wide': ({ margin, wide }) =>
		say`bind margin ${length(margin)}, max ${length(wide)}`,

	// Clearances
	'bind-margin.inconclusive': ({ remeasure }) =>
		`Bind margin too close to call: ${remeasure === 'bind' ? 'test the bind' : 'measure the height'} again`,
	'bind-margin.wide': 'Wide bind margin: a spring far from solid is lazy',
	'bind-margin.wrong-spring': ({ by, lift }) =>
		say`This spring is wrong for a lift of ${length(lift)} here: ${length(by)} short of the minimum, more than shims and locks can give. Another spring, or less lift.`,
	'bind-margin.short': ({ by, of, first, shimmed }) =>
		say`Bind margin ${length(by)} short of the ${of === 'floor' ? 'minimum' : 'target'}: ${shimmed ? 'less shim or plus locks' : 'plus locks, or a spring that binds lower'}.${first ? ` The ${labels.coil[first]} binds first.` : ''}`,
	'seal.inconclusive': 'Seal gap too close to call: measure it again',
	'seal.too-near': ({ by }) =>
		say`Retainer ${length(by)} too near the seal: is it fully seated? Shorter seal or plus locks`,
	'seal.ground-unknown':
		'Retainer is ground, and the gap’s reading does not say if it was then: read it again',
	'seal.not-seated': 'Gap was read with the seal not fully seated: seat it and read again',
	'rocker.inconclusive': 'Rocker clearance too close to call: measure it again',
	'rocker.too-near': ({ by }) =>
		say`Rocker ${length(by)} too near the retainer: minus locks or a lash cap`,
	'tip.inconclusive': 'Tip height too close to call: measure it again',
	'tip.too-low': ({ tip, min }) =>
		say`Tip height ${length(tip)}, min ${length(min)}: minus locks or a lash cap`,
	'piston.inconclusive':
		'Piston-to-valve clearance too close to call: measure it again with a dial indicator',
	'piston.too-near': ({ by, angle }) =>
		say`Piston ${length(by)} too near the valve at ${angle}° about top dead centre: cam timing, valve pocket, or gasket`,
	'vacuum.not-held': ({ reached, min }) =>
		`Port held ${reached} of the ${min} required: inspect seat, guide and seal`,
	'vacuum.too-short': ({ held, needed }) =>
		`Vacuum held ${held} s of the ${needed} s required: test the port again for the full time`,
	'leak-down.too-much': ({ loss, max }) =>
		`Leak-down ${Math.round(loss * 100)} %, max ${Math.round(max * 100)} %: listen where the air goes, intake, exhaust or crankcase`,
	'passage.contact': ({ passage, note }) =>
		({
			pushrod: 'Pushrod touches through its travel',
			'rocker-slot': 'Rocker slot touches the stud or shaft',
			'tip-wipe': 'The rocker wipes off the middle of the tip'
		})[passage] + (note ? `: ${note}` : ''),

	// Lash and preload
	'lash.other-engine-state': ({ read, setting }) =>
		`Lash was read ${read}, the setting is for a ${setting} engine: read it ${setting}`,
	'lash.none': ({ setting, engine }) =>
		say`No lash: the valve is held off its seat. Set ${length(setting)} ${engine}`,
	'lash.set': ({ setting, engine }) => say`Set lash to ${length(setting)} ${engine}`,
	'lash.opened': ({ by }) =>
		say`Lash opened up ${length(by)} since it was set: inspect the lifter first, then adjuster, pushrod, tip and rocker`,
	'lash.closed': ({ by }) =>
		say`Lash closed up ${length(by)} since it was set: a sinking seat, a stretching valve`,
	'lash.moved-together': ({ moved, of }) =>
		`Lash moved the same way at ${moved} of ${of} valves. Check the engine temperature first, then the gauge, before you suspect a lifter`,
	'preload.off': ({ preload, setting }) =>
		say`Preload ${length(preload)}: set ${length(setting)} from zero lash`,
	'adjuster.leave': 'leave the adjuster',
	'adjuster.turn': ({ degrees, way }) => `turn the adjuster ${degrees}° ${way}`,
	'crank.firing-tdc': ({ cylinder }) => `cylinder ${cylinder} at firing TDC`,
	'crank.overlap-tdc': 'one whole turn on, cylinder 1 at overlap TDC',
	'crank.exhaust-opening': ({ cylinder }) => `exhaust of cylinder ${cylinder} starts to open`,
	'crank.intake-closing': ({ cylinder }) => `intake of cylinder ${cylinder} nearly closed`,
	'crank.after-firing-tdc': ({ cylinder, degrees }) =>
		`cylinder ${cylinder}, ${degrees}° after firing TDC`,

	// What no longer counts
	'reading.stale': ({ quantity, work }) =>
		`${capital(labels.quantity[quantity])} was read before the ${labels.work[work]}: measure again`,
	'reading.order-unknown': ({ quantity, read, work }) =>
		`${capital(labels.quantity[quantity])} ${read} arrived after the ${labels.work[work]}: was it read before or after?`,
	'check.stale': ({ what, work }) =>
		`${capital(labels.passage[what])} was checked before the ${labels.work[work]}: check it again`,
	'inspection.stale': ({ work }) =>
		`The stem was inspected before the ${labels.work[work]}: inspect it again`,
	'pocket.stale': ({ work }) =>
		`After the ${labels.work[work]}, fit goes by the pocket and boss of before: measure and enter both`,

	// What was seen on a valve
	'inspection.tip.ground': 'Tip was ground: its length is shorter, read the tip height',
	'inspection.tip.worn': 'Tip is worn: dress or replace',
	'inspection.tip.burred': 'Tip is burred: dress it before it goes through the seal',
	'inspection.tip.battered':
		'Tip is battered, as by float: replace the valve, inspect spring and rocker',
	'inspection.groove.worn': 'Lock groove is worn: the locks will not hold. Replace the valve',
	'inspection.groove.burred': 'Lock groove is burred: dress it, or it cuts the seal',
	'inspection.stem.worn': 'Stem is worn: measure it against the guide',
	'inspection.stem.scored': 'Stem is scored: it wears seal and guide',
	'inspection.stem.bent': 'Stem is bent: replace the valve',
	'inspection.seatMark.narrow': 'Seat mark is narrow: heat leaves the valve slowly',
	'inspection.seatMark.wide': 'Seat mark is wide: it seals badly',
	'inspection.seatMark.uneven': 'Seat mark is uneven: inspect guide and seat',
	'inspection.seatMark.pitted': 'Seat is pitted: it will leak',
	'inspection.contact.near-margin':
		'Contact lies near the margin: the edge runs hot, move the seat in',
	'inspection.contact.near-stem': 'Contact lies near the stem: move the seat out',
	'found.too-many-shims': ({ max }) => `At most ${max} shims under one spring`,
	'inspected.inconclusive': ({ quantity }) =>
		`${capital(labels.quantity[quantity])} is too near its limit for this gauge: measure again, finer`,
	'inspected.beyond': ({ quantity, by, way }) =>
		say`${capital(labels.quantity[quantity])} is ${inspectedBy(quantity, by)} ${way} what is allowed`,
	'inspected.apart': ({ quantity, by, way }) =>
		say`${capital(labels.quantity[quantity])} is ${inspectedBy(quantity, by)} ${way === 'over' ? 'above' : 'below'} the middle of its kind`,

	...fitSentences,

	// Assembly
	'step.count-out': ({ halves }) => `Count the lock halves out: ${halves} required`,
	'step.count-in': 'Count the lock halves again: those fitted and those left over',
	'step.dead-centre': 'At true top dead centre, found at the piston',
	'step.crankshaft': 'Hold the crankshaft',
	'step.air':
		'Adapter in, without its valve core; air on. Prove that it holds before a lock is touched',
	'step.strip-compress': 'Compress the spring as far as the locks need, the air holding the valve',
	'step.strip-locks': ({ cap }) =>
		`${cap ? 'Lash cap off, locks' : 'Locks'} out with the magnet, both halves counted`,
	'step.strip-spring': 'Retainer and spring off: write down what lay under and on it',
	'step.strip-look': 'Look at tip, groove and stem, and at the seal; the valve stays up',
	'step.measure': 'Tool off, valve held by the air alone: measure the height here',
	'step.choose': 'Choose shims and locks for this station from what was measured',
	'step.rags': 'Rags over the drain holes, a magnet for the locks',
	'step.air-off': 'All valves of this cylinder built: air off, rags and tools counted',
	'step.locator': ({ shims, part, up, shimUp }) => {
		const locator = `${part ?? 'no locator on this job'}${faced(up)}`;
		const each = joined(
			shims.map((shim) => [length(shim)]),
			', then '
		);
		return shims.length > 0
			? say`Shim ${each} against the head${faced(shimUp)}; locator on it: ${locator}`
			: say`No shim here. Locator in: ${locator}`;
	},
	'step.stem': ({ station, part }) =>
		`The valve of ${station}${part ? ` (${part})` : ''}: stem oiled or greased`,
	'step.sleeve': 'Protector sleeve over the lock grooves',
	'step.valve': 'Valve in, turned by hand: it must run free',
	'step.seal': ({ bottomsOn }) => {
		const seated = {
			locator: 'it bottoms on the locator',
			guide: 'it bottoms on the guide; the gap that stays to the locator is right',
			unknown: 'it bottoms where its maker says'
		}[bottomsOn ?? 'unknown'];
		return `Seal driven fully home, garter spring off while driving and back on: ${seated}`;
	},
	'step.seal-height': ({ expected }) =>
		expected === null
			? 'Seal height checked against its neighbours'
			: say`Seal height: ${length(expected)} by its record, and as its neighbours`,
	'step.spring': ({ tag, ways }) =>
		[
			`This station’s ${tag === null ? 'spring' : `spring ${tag}`} on`,
			...ways.map((way) =>
				way === 'close-coils-down' ? 'close coils down, on the head' : labels.wayUp[way]
			)
		].join(', '),
	'step.retainer': ({ part, up }) => `${part ? `Retainer on: ${part}` : 'Retainer on'}${faced(up)}`,
	'step.compress': 'Compress, only as far as the locks need',
	'step.locks': ({ part, cap }) =>
		`${cap ? `Cap held in the locks (${cap}). ` : ''}${part ? `Locks in (${part})` : 'Locks in'}, stuck with assembly grease, both halves level`,
	'step.release': 'Release slowly, watching both halves seat',
	'step.tap': 'Tap the retainer with a soft block, and watch the locks stay',
	'step.lash-cap': ({ part }) => `Lash cap on: ${part}. It must sit on the tip, not on the locks`,
	'step.look': 'Look: level, and as high as its neighbour',
	'caution.dead-centre': 'Closed valves do not mean that the piston is up.',
	'caution.crankshaft': 'Air turns an engine that is not held: hands and tools clear of it.',
	'caution.air':
		'If the air drops, the valve drops. With the compressor tool off, air alone holds it.',
	'caution.strip-locks':
		'The spring lets go if the tool slips: glasses on, face out of line. A half that is missing is found before anything else.',
	'caution.measure':
		'Watch the pressure: with the tool off nothing else holds the valve, and a valve that drops is in the cylinder.',
	'caution.rags': 'A lock that falls into the engine is not left there.',
	'caution.compress':
		'Face shield or safety glasses on, stand aside. Never by hand force. Follow the tool maker’s instructions.',
	'caution.tap': 'Out of line with the stem: unseated locks release now.',

	// Plan
	'plan.all-locked': 'every station is locked',
	'plan.too-few': ({ part, required, stock }, tell) =>
		say`${tell(part)}: ${required} required, ${stock} in stock`,
	'plan.springs-do-not-place': 'the springs cannot be placed so that every minimum is met',
	'plan.limit-short': ({ station, limit, by }) =>
		say`${station}: ${labels.buildLimit[limit]} short by ${length(by)}`,
	'plan.nothing-holds': ({ station }) => `${station}: nothing in stock meets every minimum`,
	'plan.no-spring-left': ({ station }) =>
		`${station}: its spring is not used again, and there is no new one of its card in the library`,
	'plan.solved-from-stock': ({ limit, parts }, tell) =>
		say`${tell(limit)}; would be solved by ${joined(parts.map(tell), ' + ')}, in stock`,
	'plan.solved-on-order': ({ limit, parts }, tell) =>
		say`${tell(limit)}; would be solved by ${joined(parts.map(tell), ' + ')}, on order`,
	'part.shim': ({ thickness }) => say`shim ${length(thickness)}`,
	'part.new-spring': ({ name }) => `New spring ${name}`,
	'part.spring': ({ tag, kind }) => `Spring ${tag}${kind ? `, ${labels.kind[kind]}` : ''}`,

	// How much lift
	'lift.plus-locks-and-shim': ({ by }) =>
		say`Plus locks of ${length(by)}, and a shim as thick to keep the height`,
	'lift.plus-locks': ({ by }) => say`Plus locks of ${length(by)} alone`,
	'lift.shorter-seals': ({ by }) =>
		say`Seals shorter by ${length(by)}; check first that all are fully seated`,
	'lift.shims-out': 'All shims out',
	'lift.lower-bind': ({ by }) => say`A spring that binds ${length(by)} lower`,
	'lift.ground-retainers': ({ by }) => say`Retainers ground by ${length(by)} underneath`,
	'lift.other-part': ({ part, name }) => `Other ${labels.slot[part]}: ${name}`,
	'lift.with': ({ names }) => `with ${names.join(', ')}`,
	'lift.tip-falls': ({ by }) => say`tip and rocker clearance fall by ${length(by)}`,
	'lift.loads-and-tip-fall': ({ by }) =>
		say`loads fall; tip and rocker clearance fall by ${length(by)}`,
	'lift.other-seals': 'other seals',
	'lift.loads-fall': 'seat and open loads fall',
	'lift.other-springs': 'another set of springs, and another card',
	'lift.ground-thins':
		'not recommended: it thins a part under thousands of newtons; maker’s approval needed',
	'lift.too-few': ({ stock, required }) => `${stock} of ${required} in stock`,
	'lift.loads-unknown': 'loads not known',
	'lift.loads-stay': 'loads stay',
	'lift.seat-loads': ({ min, max }) =>
		max - min < ALIKE ? say`seat load ${load(min)}` : say`seat loads ${load(min)} to ${load(max)}`,

	'change.seals-home': ({ by }) => say`Seals home by ${length(by)}`,
	'change.seal-lower': ({ by }) => say`Seals lower by ${length(by)}`,
	'change.locks': ({ by }) =>
		say`Locks ${by < 0 ? 'lower' : 'higher'} by ${length(mm(Math.abs(by)))}`,
	'change.locks-and-shim': ({ by }) => say`Locks higher by ${length(by)}, with the shim`,
	'change.lash-cap': ({ by }) => (by === 0 ? 'No lash cap' : say`Lash cap ${length(by)}`),
	'change.lift': ({ by }) => say`Valve lift ${length(by)}`,
	'change.shims-out': 'All shims out',
	'change.parts': ({ names }) => names.join(' + '),
	'change.parts-and-shim': ({ names }) => `${names.join(' + ')}, with the shim`,

	// Before signing
	'note.text': ({ text }) => text,
	'sample.measured': ({ measured, of }) => `A sample was measured: ${measured} of ${of} valves`,
	'assembly.not-recorded': 'Assembly not recorded',
	'assembly.incomplete': 'Assembly incomplete',
	'assembly.checking-spring': 'a checking spring is still in',
	'assembly.seal-height': ({ higher, expected }) =>
		higher > 0
			? say`the seal stands ${length(higher)} above the ${length(expected)} of its record: not home, or another one`
			: say`the seal stands ${length(mm(-higher))} below the ${length(expected)} of its record: another one, or cut`,
	'assembly.air-leaks': 'The air does not hold: nothing is undone here until it does',
	'assembly.not-built': ({ stations }) => `Not built yet: ${stations.join(' ')}`,
	'count.not-done': 'Lock halves are not counted at the end',
	'count.differs': ({ out, back }) =>
		`Lock halves: ${out} counted out, ${back} counted in. Find the one that is missing`,

	// How far a job has come
	'stage.of': ({ done, of }) => `${done} of ${of}`,
	'stage.stations': ({ count }) => `${count} stations`,
	'stage.set': 'lift, targets, limits',
	'stage.to-fit': ({ count }) => `${count} to fit`,
	'stage.at-stop': ({ count }) => `${count} at stop`,
	'stage.open': ({ count }) => `${count} open`,
	'stage.all-clear': 'all clear',
	'stage.incomplete': ({ place }) => `${place} incomplete`,
	'stage.steps': ({ done, of }) => `${done} of ${of} steps`,
	'stage.failed': ({ count }) => `${count} failed`,
	'stage.vacuum': ({ done, of }) => `vacuum ${done} of ${of}`,
	'stage.changed-since': ({ revision }) => `changed since sheet ${revision}`,
	'stage.signed': ({ revision }) => `sheet ${revision} signed`,
	'stage.to-resolve': ({ count }) => `${count} to resolve`,
	'stage.can-be-signed': ({ scope }) => `can be signed: ${labels.scope[scope]}`,
	'stage.not-signable': 'not yet',
	'scope.says': ({ scope, stations, of }) =>
		`${capital(labels.scope[scope])}, ${stations.length === of ? (of === 1 ? 'its one station' : `all ${of} stations`) : `of ${of} stations only ${stations.join(', ')}; the rest was not looked at`}${scope === 'measured' ? ': no assembly is claimed' : ''}`,
	'scope.before': 'signed before scopes',
	'scope.left-out': ({ need, reason }) => `without ${labels.scopeNeed[need]}: ${reason}`,
	'scope.lacks': ({ need, stations }) =>
		`${capital(labels.scopeNeed[need])} is missing at ${stations.join(', ')}.`,
	'scope.empty':
		'Nothing to sign: these stations have no readings, or everything this scope requires is excluded.',
	'stage.accepted': 'accepted',
	'stage.not-needed': 'not needed',
	'stage.heights-since': 'heights read since',
	'stage.springs-since': 'springs changed since',
	'stage.fit-at-stop': ({ count }) => `fit: ${count} at stop`,
	'stage.fit-to-accept': ({ count }) => `fit: ${count} to accept`,
	'stage.fit-not-known': ({ count }) => `fit: ${count} not known`,
	'stage.fit-accepted': ({ count }) => `fit: ${count} accepted`,
	'stage.all-fit': 'all fit',
	'stage.no-spring': 'no spring',

	// Calculators
	'sum.no-spring': 'The load must grow as the spring is pressed shorter.',
	'sum.not-negative': ({ field }) =>
		`${capital(labels.calculatorField[field])} cannot be below zero.`,
	'sum.above-zero': ({ field }) => `${capital(labels.calculatorField[field])} must be above zero.`,
	'sum.one-height': 'Two loads at one height give no rate.',
	'sum.too-tall': 'It is shorter than wanted already: no shim makes it taller.',
	'sum.no-room': 'There is no room left.',
	'sum.out-of-reach': 'The spring is free at that height.',

	// Entries
	'entry.empty': 'Type the figure off the gauge.',
	'entry.negative': 'A reading cannot be negative.',
	'entry.two-decimals': ({ typed }) =>
		`Two decimal marks in “${typed}”: type it once more with one.`,
	'entry.not-figure': ({ typed }) => `“${typed}” is not a figure: digits and one decimal point.`,
	'entry.too-many-decimals': 'More decimals than any gauge here reads: at most five.',
	'entry.too-many-digits': 'Too many digits for one reading.',
	'entry.not-fraction': ({ typed }) =>
		`“${typed}” is no fraction of an inch: halves to sixty-fourths.`,
	'entry.not-load': ({ typed }) => `“${typed}” is not a load: digits, and lbf, N or kgf.`,
	'entry.two-meanings': ({ typed, meanings }) =>
		`“${typed}”: is it ${meanings.join(' or ')}? Type it so.`,
	'entry.in-list': ({ item, says }, tell) => say`“${item}”: ${tell(says)}`,
	'entry.not-follower-shim': ({ item, read }) =>
		`“${item}” reads as ${read}, which is no follower shim.`,
	'entry.vacuum': ({ unit }) => `Must be a figure in ${unit}, or with its own unit`,
	'entry.seconds': ({ max }) => `Must be whole seconds, at most ${max}`,
	'entry.degrees': ({ min, max }) => `Must be degrees, ${String(min).replace('-', '−')} to ${max}`,

	// Fields of forms and files
	'field.missing': 'Required',
	'field.required': 'Required',
	'field.type': ({ expected }) => `Must be a ${expected}`,
	'field.unknown-keys': ({ keys }) => `Unknown: ${keys.join(', ')}`,
	'field.one-of': ({ values }) => `Must be one of ${values.join(', ')}`,
	'field.min': ({ min, unit }) => `Must be at least ${inUnit(min, unit).replace('-', '−')}`,
	'field.max': ({ max, unit }) => `Must be at most ${inUnit(max, unit)}`,
	'field.invalid': 'Not valid',
	'field.whole-number': 'Must be a whole number',
	'field.number': ({ example }) => `Must be a number such as ${example}`,
	'field.negative': 'Must not be negative',
	'field.not-positive': 'Must be more than 0',
	'field.duplicate': ({ what }) => `Duplicate ${what}`,
	'field.quantity': ({ of }) => `Must be ${QUANTITY[of]}`,
	'field.not-quantity': ({ of, read }) => `Must be ${QUANTITY[of]}; this reads "${read}"`,
	'field.two-meanings': ({ meanings }) => `Is it ${meanings.join(' or ')}? Type it so`,
	'field.id': 'Must be an id (UUID)',
	'field.moment': 'Must be a date and time such as 2026-03-02T09:30:00Z',
	'field.date': 'Must be a day, such as 2026-12-04',
	'field.station': 'Must be a station such as 3I or 12Eb',
	'field.sha256': 'Must be a SHA-256 as 64 lower-case hexadecimal digits',
	'field.ed25519': 'Must be an Ed25519 key or signature in base64url',
	'limits.below': ({ of }) => `Must not be below ${LIMIT_NAME[of]}`,
	'spring.not-below-seat': 'Must be below the seat height',
	'spring.not-above-seat': 'Must be above the seat height',
	'spring.load-not-above-seat': 'Must be more than the seat load',
	'spring.load-falls': 'The load must grow as the height falls',
	'gauge.host': 'Must be a host name or address',
	'gauge.port': 'Must be a port',
	'gauge.pattern-names': 'Must be a pattern with (?<height>…), (?<load>…) or both',
	'gauge.pattern-unusable': ({ why }) =>
		`Not a usable pattern (${why}); look-around and back-references are not understood`,
	'layout.odd-cylinders': 'Must be an even number for two heads',
	'layout.own-numbers': ({ perHead, heads }) =>
		`Must be ${perHead} cylinder numbers ${heads === 2 ? 'for each head' : 'for the head'}`,
	'layout.each-once': ({ cylinders }) => `Must have each of 1 to ${cylinders} once`,
	'layout.angles-count': 'Must be one angle for each cylinder of the firing order',
	'layout.first-angle': 'The first fires at 0°',
	'layout.angles-grow': 'Must be degrees that grow, below 720',

	// Files
	'file.too-deep': 'is nested too deeply: no file of this program is',
	'file.too-long': ({ max }) => `at most ${max.toLocaleString('en')}`,
	'file.more': ({ count }) => `and ${count.toLocaleString('en')} more`,
	'file.not-object': ({ what }) => `is not a ${FILE[what]}: one holds one JSON object`,
	'file.other-format': ({ what, format }) => `must be "${format}": this is not a ${FILE[what]}`,
	'file.other-version': ({ reads }) => `this program reads version ${reads}`,
	'file.newer': ({ version, reads }) =>
		`was written by a newer program (version ${version}; this one reads up to ${reads})`,
	'file.empty': 'is empty',
	'file.cut-off': 'the file ends in the middle: it was cut off when it was saved or sent',
	'file.not-json': 'is not JSON from here on',
	'job.no-head': ({ head }) => `there is no head ${head} on this job`,
	'job.no-station': ({ station }) => `there is no station ${station} on this job`,
	'job.voids-unknown': 'voids an unknown reading',
	'job.unknown-person': 'a person who is not in the list of people',
	'signed.not-json': 'this is not JSON: cut short, or changed',
	'signed.other-format': ({ format }) =>
		`this is not a signed sheet ("format" must be "${format}")`,
	'signed.newer': ({ reads }) => `this program verifies versions up to ${reads}`,
	'signed.not-canonical': 'the text is not as it was written: it was changed or laid out anew',
	'signed.changed': ({ found, stated }) =>
		`changed since it was signed: its SHA-256 is ${found}, ${stated} is stated`,
	'signed.not-whole': 'this is no whole signed sheet',
	'signed.forged': 'its signature is not by the key that it names',

	// Imports
	'import.choose-file': ({ what }) => `choose a ${FILE[what]} first`,
	'import.entry-elsewhere': 'this entry already belongs to another job',
	'import.something-elsewhere': 'something in it already belongs to another job',
	'import.job-there': ({ number }) => `job ${number} is already imported; nothing was changed`,
	'import.number-taken': ({ number }) => `another job already has the number ${number}`,
	'import.too-many-parts': ({ max }) => `has more than ${max.toLocaleString('en')} parts: split it`,
	'import.no-columns': 'the first line must name the columns, “type” and “name” among them',
	'import.no-parts': 'has no parts in it',
	'import.older': ({ name }) =>
		`${name} or its count changed after this file was exported, so the line was skipped. Export again and repeat your change`,
	'import.no-figures': 'has no lines of figures',
	'import.which-column': 'which column is what?',
	'import.not-figure': ({ column, read }) => `${column} “${read}” is no figure`,
	'import.csv': ({ says }) => says,

	// What the server answers
	'backup.none': 'The shop has no backup. ./zinc backup makes one; the log says why none was made.',
	'backup.future': ({ at }) =>
		`A backup is dated in the future (${at.slice(0, 10)}): the clock was wrong when it was made. Check the clock, then delete that file.`,
	'backup.old': ({ at }) =>
		`The last backup is of ${at.slice(0, 10)}, more than two days ago. ./zinc backup makes one; the log says why none was made.`,
	'kit.no-seat-load': 'Seat load is zero. Check the kit sheet.',
	'kit.bind-at-seat':
		'Coil bind is less than 0.100 in (2.54 mm) below the seat height, so no valve could open. Check the kit sheet.',
	'server.unknown': ({ what }) => `There is no such ${UNKNOWN[what]}.`,
	'server.no-spring': ({ tag }) => `There is no spring ${tag} in this set.`,
	'server.no-step': ({ step, place }) => `There is no step ${step} at ${place} on this job.`,
	'server.no-list': ({ list }) => `There is no list ${list}.`,
	'server.no-round': ({ name }) => `There is no round of “${name}”.`,
	'server.no-setting-order': ({ name }) => `There is no setting order “${name}”.`,
	'server.no-job-number': ({ number }) => `There is no job ${number}.`,
	'server.reading-elsewhere': 'This reading is not on this job.',
	'server.operator-required': 'Select an operator first.',
	'server.operator-gone': 'Operator no longer exists: select an operator.',
	'server.changed-meanwhile':
		'Somebody else changed this meanwhile; your entries are kept. Compare with theirs in another window, then load this page again.',
	'beside.all-on-another-gauge': ({ trace, by }) =>
		say`${capital(labels.trace[trace])} shifted ${by < 0 ? '−' : '+'}${length(mm(Math.abs(by)))} at all valves, on another gauge. Read a reference standard on both gauges; until then the whole shift counts`,
	'beside.all-lash-alike': ({ by, isOtherTemperature }) =>
		isOtherTemperature
			? say`All lash shifted ${by < 0 ? '−' : '+'}${length(mm(Math.abs(by)))}, read at another engine temperature. Read it again at like temperature before you suspect a part`
			: say`All lash shifted ${by < 0 ? '−' : '+'}${length(mm(Math.abs(by)))}. Check the engine temperature first, then the gauge, before you suspect a part`,
	'beside.all-on-another-tester': ({ ratio, reference, cause }) => {
		const all = `All springs read ${byPercent(ratio - 1)} at the same height, on another tester`;
		if (reference === null)
			return cause === 'either'
				? `${all}. Read a reference spring on both testers before you condemn any spring; until then the whole loss counts`
				: `${all}, and not all alike: springs lost load. Read a reference spring on both testers`;
		const read = `A reference spring read ${byPercent(reference - 1)} on it, which is subtracted`;
		return cause === 'tester'
			? `${all}. ${read}; nothing more is left in common`
			: `${all}. ${read}; the springs lost the rest`;
	},
	'diagnosis.cause': ({ cause }) => `Most likely: ${labels.cause[cause]}`,
	'diagnosis.named': ({ causes, stations }) =>
		`Most likely: ${causes.map((cause) => labels.cause[cause]).join(', or ')}${stations.length === 0 ? '' : ` at ${stations.join(', ')}`}`,
	'diagnosis.elsewhere':
		'The valvetrain is in order. Check spark, plugs, plug wires, cap and fuel first; order no springs',
	'diagnosis.not-known-yet': 'Cause not found yet',
	'do-not-run': ({ stop }) => DO_NOT_RUN[stop],
	'do-not-run.try-nothing':
		'Nothing can be tried while the engine must not be run. Settle the stops first.',
	'lash.not-found':
		'lash was turned before it was read as found: what moved since it was signed cannot be told',
	'visit.nothing-signed':
		'Nothing was signed of this head yet: take it in as a new job, and sign its sheet.',
	'visit.other-layout': 'The head does not lie on this engine as it was signed: its valves differ.',
	'visit.no-engine': 'The head is on no engine: say first which one it is on.',
	'visit.other-engine': 'Heads that come back on one job are on one engine.',
	'visit.none-signed': 'This sheet was signed of no return visit: there is nothing to compare.',
	'visit.place-unknown': 'This engine has no such place for a head.',
	'trial.open': ({ changed }) => `One change at a time: say first what “${changed}” did.`,
	'diagnosis.not-a-weight': 'A weight is a number between 0.01 and 100.',
	'lash.reason-missing': 'Why is it not read as found? Enter a reason.',
	'trial.unknown': 'What this is the result of is not on the job, or has its result.',
	'server.not-json': 'The request is not JSON.',
	'server.too-deep': 'The request is nested too deeply.',
	'server.too-many-fields': ({ max }) => `The form has more than ${max} fields.`,
	'server.unfit-text': ({ at }) => `${at || 'the form'}: has a character in it that no text has`,
	'server.too-large': 'The request is too large.',
	'server.busy': 'Too many files are being read at the moment. Try again in a minute.',
	'server.broken-off': 'The request is broken off or is not what it says it is.',
	'server.fields': ({ fields }, tell) =>
		joined(
			fields.map(({ path, says }) => say`${path || 'the request'}: ${tell(says)}`),
			'; '
		),
	'server.database-away': 'Database unavailable.',
	'server.database-away-advice':
		'Nothing is lost: figures typed here wait in this browser. This page keeps trying.',
	'server.disk-full': 'There is no room left on the server’s disk.',
	'server.disk-full-advice':
		'Nothing is lost: figures typed here wait in this browser until there is room again.',
	'server.taken': 'Something is there already under this name or id.',
	'server.names-nothing': 'It names something that is not there.',
	'server.cannot-keep': 'A figure or text that cannot be kept.',
	'server.id-taken': 'Something else is kept under this id: it was not stored.',
	'server.failed': 'Something went wrong here, and it is written down in the log.',
	'server.failed-advice': 'What was stored is safe. Go back and try once more.',
	'server.foreign': 'Asked from a page of another address: not done.',
	'server.nothing-to-do': 'Nothing to keep.',
	'server.would-not-take': 'The server rejected it.',
	'server.not-reached': 'The server cannot be reached.',
	'server.still-there': ({ why }) => `${why} Your entries are kept; submit again.`,
	'server.not-saved': 'Not saved: fix the highlighted fields.',
	'server.topics-count': ({ max }) => `topics: one to ${max} of them`,
	'server.topic-unknown': ({ topic }) => `topics: “${topic}” is none`,
	'gauge.sends-nothing': 'This gauge sends nothing: type its readings.',
	'entry.count-missing': 'How many are there? Count them.',
	'entry.reason-missing': 'Why is it withdrawn? Enter a reason.',
	'entry.do-first': ({ place, step }) => `Do first (${place}): ${step}.`,
	'entry.unknown-work': 'There is no such work on this job.',
	'plan.not-newest': 'Only the newest plan can be withdrawn.',
	'plan.before-unknown': 'This plan does not say what stood before it.',
	'plan.built-otherwise': ({ station }) => `${station} was built otherwise since: change it there.`,
	'stock.given-back-too-many': ({ taken }) => `This job took ${taken}: no more can be given back.`,
	'stock.short': ({ part, required, stock }) =>
		`Not enough in stock: ${required} of ${part} required, ${stock} there. Nothing was changed.`,
	'stock.which-part': 'Which part?',
	'stock.change': 'Must be a whole number, + in or − out.',
	'stock.change-max': ({ max }) => `Must be at most ${max.toLocaleString('en')} at a time.`,
	'sign.blocked': ({ place }) => `Not everything is resolved: ${place} blocks sign-off.`,
	'photo.too-large': 'This photo is over 12 MB: make it smaller first.',
	'photo.not-supported': 'Unsupported image: JPEG, PNG or WebP, one picture each.',
	'photo.not-whole': 'Unsupported image: JPEG, PNG or WebP, and it must be whole.',
	'photo.unpacks-too-large': 'Rejected: this picture unpacks to more than 60 megapixels.',
	'photo.progressive-too-large':
		'Rejected: this progressive picture is over 26 megapixels. Make it smaller first.',
	'lift.which-ratio': 'Which rocker ratio? Type the cam and “× 1.5”.',
	'paste.no-valve': 'names no valve',
	'paste.no-figure': ({ station }) => `no figure for ${station}`,
	'paste.unknown-valve': ({ station }) => `this job has no valve ${station}`,
	'paste.not-alone': ({ typed }) =>
		`“${typed}” may not be a reading, so the order of the others is uncertain. Nothing was read. Put the valve on each line, such as “1I 1.812”.`,
	'paste.too-many': ({ valves }) => `more figures than the ${valves} valves`,
	'photo.enough': ({ station, max }) => `${station ?? 'This'} has ${max} photos already.`,
	'set.not-for-job': 'This set is not for a job.',
	'set.not-tested': 'No spring of it is tested yet.',
	'set.pair': 'The stop must not be below the watch.',
	'set.name-missing': 'Name the set.',
	'set.count-missing': 'How many?',
	'operator.name': 'Enter the name.',
	'operator.initials': 'Must be one to four letters.',
	'operator.pick': 'Select one of the people listed.',
	'operator.initials-in-use': ({ initials }) => `Initials ${initials} are in use.`,
	'access.sign-in-first': 'Sign in first; nothing that was typed is lost.',
	'access.not-allowed': ({ role }) => `Not for a ${labels.role[role]} to do: ask somebody who may.`,
	'access.only-read': ({ role, min }) =>
		`You are here as a ${labels.role[role]}: changing what is here takes ${min === 'owner' ? 'an' : 'a'} ${labels.role[min]}.`,
	'access.other-person': 'Written by somebody else: it is sent once they are at this bench again.',
	'access.too-often': 'Too many requests: wait a minute.',
	'access.wait': ({ minutes }) =>
		`Too many attempts: wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}.`,
	'access.refused': 'User name or password is wrong.',
	'access.pin-refused': 'PIN is wrong.',
	'access.code-wanted': 'The six digits that your phone shows now',
	'access.code-refused': 'That code is wrong or was already used. Enter the next one.',
	'access.password-short': ({ min }) =>
		`At least ${min} characters: a few words in a row are good.`,
	'access.password-long': ({ max }) => `At most ${max} characters.`,
	'access.password-common': 'Too easy to guess: it is on lists of common passwords, or names you.',
	'access.password-wrong': 'Not your present password.',
	'access.pin-digits': 'Must be four to eight digits.',
	'access.pin-common': 'Too easy to guess: no single digit repeated, no row.',
	'access.user-name': 'Must be 2 to 40 letters, digits, dots or hyphens.',
	'access.user-name-taken': 'This user name is in use.',
	'access.code-unknown': 'Unknown code, or one that has been used or is over three days old.',
	'access.last-owner': 'The shop needs an owner: make somebody else one first.',
	'access.link-ended': 'This link has ended. Ask the shop for a new one.',
	'access.no-address': 'A link needs the shop’s own address: start it on its network.',
	'gauge.address-elsewhere': ({ host }) =>
		`${host} is not on the shop’s list of gauge addresses: this machine and its own network are.`,
	'job.number-missing': 'Enter a job number.',
	'job.customer-missing': 'Enter a customer.',
	'job.engine-missing': 'Enter an engine.'
};
