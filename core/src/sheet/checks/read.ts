/** Reading what is typed of the checks on a built head. */
import {
	readEntry,
	VACUUM_TEXT,
	withUnit,
	type LengthUnit,
	type VacuumUnit
} from '../../foundation/units/index.ts';
import type { CheckOf } from './check.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { MAX_SECONDS } from '../../job/document/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'entry.vacuum': { readonly unit: VacuumUnit };
		'entry.seconds': { readonly max: number };
		'entry.degrees': { readonly min: number; readonly max: number };
	}
}

/** What was read of several fields, or what is wrong with each field that could not be. */
export type ReadFields<Value, Field extends string> =
	| { readonly ok: true; readonly value: Value }
	| { readonly ok: false; readonly problems: Readonly<Partial<Record<Field, Message>>> };

/**
 * Reads a trial of a port for vacuum.
 *
 * @param typed the vacuum reached, in `unit` where no other stands behind it, and for how many whole seconds it held
 */
export function readVacuum(
	typed: { readonly reached: string; readonly seconds: string },
	unit: VacuumUnit
): ReadFields<Pick<CheckOf<'vacuum'>, 'reached' | 'seconds'>, 'reached' | 'seconds'> {
	const reached = withUnit(typed.reached, unit);
	const seconds = Number(typed.seconds);
	const problems = {
		...(!VACUUM_TEXT.test(reached) && { reached: message('entry.vacuum', { unit }) }),
		...(!(/^\d+$/.test(typed.seconds.trim()) && seconds <= MAX_SECONDS) && {
			seconds: message('entry.seconds', { max: MAX_SECONDS })
		})
	};
	return Object.keys(problems).length === 0
		? { ok: true, value: { reached, seconds } }
		: { ok: false, problems };
}

/**
 * Reads a leak-down as typed, in per cent: "8", "8,5 %".
 *
 * @returns the part that is lost, or what is wrong
 */
export function readLoss(
	typed: string
):
	{ readonly ok: true; readonly loss: number } | { readonly ok: false; readonly problem: Message } {
	const text = typed.trim().replace(/\s*%$/, '').replace(',', '.');
	return /^\d+(\.\d+)?$/.test(text) && Number(text) <= 100
		? { ok: true, loss: Number(text) / 100 }
		: { ok: false, problem: message('field.number', { example: '8' }) };
}

/** One row of piston-to-valve figures as typed: crankshaft degrees, and the room there. */
export interface RoomRow {
	readonly angle: string;
	readonly room: string;
}

/**
 * Reads rooms between piston and valve; rows without a room are passed over.
 *
 * @returns the points, or what is wrong by row and field, named "0.angle", "2.room"
 */
export function readRooms(
	rows: readonly RoomRow[],
	unit: LengthUnit
): ReadFields<CheckOf<'piston-to-valve'>['points'], `${number}.${keyof RoomRow}`> {
	const problems: Record<`${number}.${keyof RoomRow}`, Message> = {};
	const points = rows.flatMap((row, i) => {
		if (row.room.trim() === '') return [];
		const room = readEntry(row.room, unit);
		const angle = readAngle(row.angle);
		if (!room.ok) problems[`${i}.room`] = room.problem;
		if (angle === null) problems[`${i}.angle`] = message('entry.degrees', { min: -180, max: 180 });
		return room.ok && angle !== null ? [{ angle, room: room.text }] : [];
	});
	if (Object.keys(problems).length > 0) return { ok: false, problems };
	if (points.length === 0) return { ok: false, problems: { '0.room': message('field.required') } };
	return { ok: true, value: points };
}

function readAngle(typed: string): number | null {
	const text = typed.trim().replace('−', '-').replace(',', '.');
	const angle = Number(text);
	return /^[-+]?\d+(\.\d+)?$/.test(text) && Math.abs(angle) <= 180 ? angle : null;
}
