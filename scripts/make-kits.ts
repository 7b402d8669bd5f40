/**
 * Makes the demo's kits: nine of parts that its library has, and one whose paper says
 * little. Made anew it makes the same.
 *
 *   npm run demo
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { v5 as named } from 'uuid';
import { INCH_POUND, KIT_PLACES, TYPE_OF, type Kit, type KitPlace } from '@zinc-ledger/core';
import { readParts } from '@zinc-ledger/core/parts';
import { writeKits } from '@zinc-ledger/core/kits';
import { kitFromPaper } from '../web/src/lib/parts/kits/paper.ts';

const SPACE = '3c0b7c52-7a0e-4f0c-9d55-0a61f2a0d9e1';
const id = (name: string) => named(name, SPACE);
const read = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!read.ok) throw new Error('parts.json');
const library = read.value;
const idOf = (place: KitPlace, name: string): string => {
	const part = library.find((one) => one.type === TYPE_OF[place] && one.part.name === name);
	if (!part) throw new Error(`no ${place} ${name}`);
	return part.part.id;
};

type Fitted = Partial<Record<KitPlace, string>>;
interface Boxed {
	readonly name: string;
	readonly parts: Fitted;
	/** What the exhaust has in place of it. */
	readonly exhaust?: Fitted;
	readonly valves: number;
	readonly short?: KitPlace;
	readonly refused?: readonly string[];
	readonly instructions: string;
}

const NEW_SEALS = 'New seals and new locks with these springs. Set the height at every valve.';
const KITS: readonly Boxed[] = [
	{
		name: 'Hill six, 0.600 lift',
		parts: {
			spring: 'Fennick D-37 dual',
			retainer: 'Ostrel R-11, steel, dual',
			locks: 'Ostrel 10° standard',
			locator: 'Ostrel inside locator 0.060',
			seal: 'Pellow stem seal 11/32 low'
		},
		valves: 12,
		refused: ['Pellow stem seal 11/32 wide', 'Pellow stem seal 11/32 tall'],
		instructions: `Locator first, always. ${NEW_SEALS}\nRun in on half lift springs where the cam is new.`
	},
	{
		name: 'Hill six, light retainers',
		parts: {
			spring: 'Fennick D-39 dual',
			retainer: 'Ostrel R-12, titanium, dual',
			locks: 'Ostrel 10° standard',
			locator: 'Ostrel inside locator 0.060',
			seal: 'Pellow stem seal 11/32 low'
		},
		valves: 12,
		refused: ['Pellow stem seal 11/32 wide'],
		instructions: NEW_SEALS
	},
	{
		name: 'Marine V8, long duty',
		parts: {
			spring: 'Fennick N-33 beehive, soft',
			retainer: 'Ostrel R-40, tool steel',
			locks: 'Ostrel 7° square',
			locator: 'Ostrel outside locator 0.055',
			seal: 'Pellow stem seal 11/32 low'
		},
		valves: 16,
		instructions: 'Close coils down. Not above 5500 rpm with cast rockers.'
	},
	{
		name: 'Marine V8, firm',
		parts: {
			spring: 'Fennick N-40 beehive',
			retainer: 'Ostrel R-40, tool steel',
			locks: 'Ostrel 7° square',
			locator: 'Ostrel outside locator 0.055',
			seal: 'Pellow stem seal 11/32 low'
		},
		valves: 16,
		short: 'locks',
		instructions: 'Close coils down.'
	},
	{
		name: 'Road V8, damper kept',
		parts: {
			spring: 'Fennick D-44 dual with damper',
			retainer: 'Ostrel R-11, steel, dual',
			locks: 'Ostrel 10° plus 0.050',
			locator: 'Ostrel inside locator 0.060',
			seal: 'Pellow stem seal 11/32 low'
		},
		valves: 16,
		refused: ['Pellow stem seal 11/32 wide'],
		instructions: 'The damper stays in. Look for it between the coils before the retainer goes on.'
	},
	{
		name: 'Strip V8, 0.740 lift',
		parts: {
			spring: 'Fennick D-52 dual',
			retainer: 'Ostrel R-52, titanium, large dual',
			locks: 'Ostrel 10° round, cap recess',
			locator: 'Ostrel inside locator 0.090',
			seal: 'Pellow stem seal 11/32 low',
			lashCap: 'Ostrel cap 11/32, 0.060'
		},
		valves: 16,
		instructions: 'Hardened tips or caps only. Measure the open load again after the first runs.'
	},
	{
		name: 'Strip V8, triple',
		parts: {
			spring: 'Fennick T-60 triple',
			retainer: 'Ostrel R-60, titanium, triple',
			locks: 'Ostrel 10° round, cap recess',
			locator: 'Ostrel inside locator 0.090',
			seal: 'Pellow stem seal 11/32 low'
		},
		valves: 16,
		refused: ['Pellow stem seal 11/32 wide', 'Pellow stem seal 11/32 tall'],
		instructions: 'Roller lifters only.'
	},
	{
		name: 'Twin cam four, road',
		parts: {
			spring: 'Fennick S-16 single',
			retainer: 'Ostrel R-27, steel, single',
			locks: 'Ostrel 7° three-bead',
			locator: 'Ostrel outside locator 1.0',
			seal: 'Pellow stem seal 5.5'
		},
		valves: 16,
		instructions: NEW_SEALS
	},
	{
		name: 'Twin cam four, hill',
		parts: {
			spring: 'Fennick S-21 single, progressive',
			retainer: 'Ostrel R-28, titanium, single',
			locks: 'Ostrel 7° three-bead',
			locator: 'Ostrel outside locator 1.0',
			seal: 'Pellow stem seal 5.5'
		},
		exhaust: { retainer: 'Ostrel R-27, steel, single' },
		valves: 16,
		instructions: 'Close coils down. Steel retainers on the exhausts.'
	}
];

const placesOf = (parts: Fitted) =>
	Object.fromEntries(
		KIT_PLACES.flatMap((place) => (parts[place] ? [[place, idOf(place, parts[place])]] : []))
	);
const kits = KITS.map(
	({ name, parts, exhaust = {}, valves, short, refused = [], instructions }): Kit => ({
		id: id(`kit ${name}`),
		name,
		maker: 'Fennick',
		kinds: { intake: placesOf(parts), exhaust: placesOf({ ...parts, ...exhaust }) },
		refused: refused.map((seal) => ({ place: 'seal', name: seal })),
		box: Object.fromEntries(
			KIT_PLACES.filter((place) => parts[place]).map((place) => [
				place,
				place === short ? valves - 1 : valves
			])
		),
		instructions
	})
);

// The tenth is from a paper that gives heights and loads, and no diameter of anything.
let count = 0;
const little = kitFromPaper(
	{
		name: 'Quill 58',
		maker: 'Quill & Son',
		'spring.seat.height': '1.650',
		'spring.seat.load': '95',
		'spring.open.load': '240',
		'spring.at': '0.450',
		'spring.bind': '1.090',
		'spring.maxLift': '0.500',
		'locator.name': 'Quill 58 locator',
		'locator.thickness': '0.045',
		'seal.name': 'Quill 58 seal',
		'box.spring': '8',
		'box.retainer': '8',
		'box.locks': '8'
	},
	INCH_POUND,
	() => undefined,
	() => id(`quill 58 ${count++}`)
);
if (!little.ok) throw new Error(JSON.stringify(little.problems));

writeFileSync(
	'demo/kits.json',
	writeKits({ kits: [...kits, little.kit], parts: [...library, ...little.parts] })
);
