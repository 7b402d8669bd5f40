/**
 * Valvetrains known only by their cam cards, against an integrator of its own: whether the band over
 * ramps and stiffness holds the speed at which the valve is really lost, and whether a valvetrain
 * that loses its valve is called clear.
 */
import {
	cardCurve,
	controlSweep,
	durationAt,
	kilograms,
	lobeOfCard,
	madeUpLobe,
	mm,
	motionFound,
	motionState,
	motionWithin,
	newtons,
	newtonsPerMm,
	rigidLimit,
	USUAL_TRAIN,
	motionSpread,
	type Controlled,
	type Lobe,
	type RigidTrain,
	type Train
} from '../src/index.ts';
import { randomFrom } from '../src/springs/sweep/synthetic.ts';

const VALVETRAINS = Number(process.argv[2] ?? 200);
const next = randomFrom(12);
const between = (from: number, to: number) => from + (to - from) * next();
const pick = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)]!;

const SEAT = { stiffness: 5e7, damping: 0.1 };
const LOST_BOUNCE = 2e-4;
const OPEN = 0.00127;

/** The motion over one turn by fourth-order Runge-Kutta at a fixed step, from tables of lobe and spring. */
function isLost(
	{ lobe, ratio, lash, curve, height, mass }: RigidTrain,
	stiffness: number,
	part: number,
	speed: number
): boolean {
	const omega = (Math.PI * speed) / 60;
	const damping = 2 * part * Math.sqrt(stiffness * mass);
	const seatDamping = 2 * SEAT.damping * Math.sqrt(SEAT.stiffness * mass);
	const seatLoad = curve.load(height)!;
	const pressed = seatLoad / SEAT.stiffness;
	const spring = (x: number) => curve.load(mm(height - Math.max(0, x) * 1000)) ?? seatLoad;
	const span = (lobe.closes - lobe.opens) / omega;
	const dt = 4e-6;
	const table = Array.from({ length: Math.ceil((span * 2) / dt) + 4 }, (_, i) => {
		const { lift, velocity } = lobe.at(lobe.opens + (omega * i * dt) / 2);
		return [(ratio * lift - lash) / 1000 - pressed, (ratio * velocity * omega) / 1000] as const;
	});
	const rest = [-lash / 1000 - pressed, 0] as const;
	const camAt = (half: number) => table[half] ?? rest;
	const trainForce = (half: number, x: number, v: number) => {
		const [z, zDot] = camAt(half);
		return x < z ? Math.max(0, stiffness * (z - x) + damping * (zDot - v)) : 0;
	};
	const acceleration = (half: number, x: number, v: number) => {
		const seated = x < 0 ? Math.max(0, -SEAT.stiffness * x - seatDamping * v) : 0;
		return (trainForce(half, x, v) + seated - spring(x)) / mass;
	};
	let [x, v] = [-pressed, 0];
	let [wasOpen, hasLanded] = [false, false];
	const steps = Math.ceil((span + 0.006) / dt);
	for (let n = 0; n < steps; n++) {
		const h = 2 * n;
		const a1 = acceleration(h, x, v);
		const [x2, v2] = [x + (v * dt) / 2, v + (a1 * dt) / 2];
		const a2 = acceleration(h + 1, x2, v2);
		const [x3, v3] = [x + (v2 * dt) / 2, v + (a2 * dt) / 2];
		const a3 = acceleration(h + 1, x3, v3);
		const [x4, v4] = [x + v3 * dt, v + a3 * dt];
		const a4 = acceleration(h + 2, x4, v4);
		x += (dt * (v + 2 * v2 + 2 * v3 + v4)) / 6;
		v += (dt * (a1 + 2 * a2 + 2 * a3 + a4)) / 6;
		if (x > OPEN) {
			wasOpen = true;
			if (trainForce(h + 2, x, v) === 0) return true;
		}
		if (wasOpen && x < 0) hasLanded = true;
		if (hasLanded && x - Math.max(camAt(h + 2)[0], 0) > LOST_BOUNCE) return true;
	}
	return false;
}

/** The lowest speed, in rpm, at which the valve is really lost, to a half per cent. */
function lostAt(train: RigidTrain, stiffness: number, part: number): number {
	const rigid = rigidLimit(train)!.speed;
	for (let speed = 0.3 * rigid; ; speed *= 1.005)
		if (speed > 1.1 * rigid || isLost(train, stiffness, part, speed)) return speed;
}

/** A ramp in use: its length between 8° and 40° of the cam. */
function someRamp() {
	for (;;) {
		const [height, perDegree] = [between(0.1, 0.5), between(0.005, 0.025)];
		const degrees = height / perDegree;
		if (degrees >= 8 && degrees <= 40) return { height: mm(height), perDegree: mm(perDegree) };
	}
}

/** A lobe whose closing side has a ramp of its own. */
function someLobe(lift: number, degrees: number): Lobe {
	const fullness = between(6, 12);
	const side = () =>
		madeUpLobe({
			lift: mm(lift),
			durations: [{ lift: mm(1.27), degrees }],
			ramp: someRamp(),
			fullness
		});
	const opening = side();
	const closing = next() < 0.5 ? opening : side();
	return {
		...opening,
		closes: closing.closes,
		at: (angle) => (angle < 0 ? opening : closing).at(angle)
	};
}

const KINDS: readonly (readonly [Train, number, number, number, number])[] = [
	['pushrod', 1.5, 1.7, 0.2, 0.26],
	['rocker-on-head', 1.4, 1.7, 0.13, 0.18],
	['bucket', 1, 1, 0.1, 0.14]
];

const results = Array.from({ length: VALVETRAINS }, () => {
	const [type, low, high, light, heavy] = pick(KINDS);
	const ratio = between(low, high);
	const lift = between(7.5, 10.5);
	const degrees = Math.round(between(225, 280));
	const truth = someLobe(lift, degrees);
	const seconds = next() < 0.5;
	const card = lobeOfCard({
		lift: mm(lift),
		durations: [
			{ lift: mm(1.27), degrees },
			...(seconds ? [{ lift: mm(5.08), degrees: Math.round(durationAt(truth, 5.08)) }] : [])
		],
		table: []
	});
	if (!card?.lobe) return null;
	const height = mm(46);
	const curve = cardCurve(
		{ height, load: newtons(between(450, 750)) },
		newtonsPerMm(between(45, 75)),
		mm(20)
	);
	const mass = kilograms(between(light, heavy));
	const lash = mm(next() < 0.5 ? 0 : between(0.2, 0.5));
	const assumed = USUAL_TRAIN[type];
	const common = { ratio, lash, curve, height, mass };
	const lost = lostAt(
		{ ...common, lobe: truth },
		assumed.stiffness * 1000 * between(0.7, 1.3),
		assumed.damping
	);
	const train = { ...common, lobe: card.lobe };
	const limit = rigidLimit(train);
	if (!limit) return null;
	const spread = motionSpread(train, limit, { total: mass, uncertainty: kilograms(0) });
	const controlled = { train, limit, spread, surge: null, assumed } as unknown as Controlled;
	const began = performance.now();
	const sweep = controlSweep(controlled)!;
	const seconds_ = (performance.now() - began) / 1000;
	const found = motionFound(sweep);
	const within = motionWithin(found, spread);
	const called = (highest: number) => motionState(within, highest, highest * 1.15);
	const highest = lost / (1 + between(-0.2, 0.6));
	return {
		type,
		lowEnd: (within.lost ?? Number.POSITIVE_INFINITY) / lost,
		nominal: (sweep.separation.middle ?? Number.NaN) / lost,
		isFalseClear: highest > lost && called(highest) === 'clear',
		isCalledClear: called(lost / 1.25) === 'clear',
		seconds: seconds_
	};
}).filter((one) => one !== null);

const share = (is: (one: (typeof results)[number]) => boolean) =>
	(100 * results.filter(is).length) / results.length;
const middle = (list: number[]) => list.toSorted((a, b) => a - b)[list.length >> 1]!;
console.info({
	valvetrains: results.length,
	falseClears: results.filter(({ isFalseClear }) => isFalseClear).length,
	'low end at or below the true value, %': share(({ lowEnd }) => lowEnd <= 1),
	'clear at 25 % of true headroom, %': share(({ isCalledClear }) => isCalledClear),
	'low end over true value, median': middle(results.map(({ lowEnd }) => lowEnd)).toFixed(3),
	'seconds of a band, median': middle(results.map(({ seconds }) => seconds)).toFixed(2)
});
