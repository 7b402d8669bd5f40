/** Reading what is typed of the checks on a built head. */
import { readEntry, withUnit } from '../units/entry.ts';
import { VACUUM_TEXT, type LengthUnit, type VacuumUnit } from '../units/quantity.ts';
import type { CheckOf } from './check.ts';
import { MOST_SECONDS } from '../document/check-words.ts';

/** What was read of several fields, or what is wrong with each field that could not be. */
export type ReadFields<Value, Field extends string> =
	| { readonly ok: true; readonly value: Value }
	| { readonly ok: false; readonly problems: Readonly<Partial<Record<Field, string>>> };

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
		...(!VACUUM_TEXT.test(reached) && { reached: `a figure in ${unit}, or with its own unit` }),
		...(!(/^\d+$/.test(typed.seconds.trim()) && seconds <= MOST_SECONDS) && {
			seconds: `whole seconds, at most ${MOST_SECONDS}`
		})
	};
	return Object.keys(problems).length === 0
		? { ok: true, value: { reached, seconds } }
		: { ok: false, problems };
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
): ReadFields<CheckOf<'piston to valve'>['points'], `${number}.${keyof RoomRow}`> {
	const problems: Record<`${number}.${keyof RoomRow}`, string> = {};
	const points = rows.flatMap((row, i) => {
		if (row.room.trim() === '') return [];
		const room = readEntry(row.room, unit);
		const angle = readAngle(row.angle);
		if (!room.ok) problems[`${i}.room`] = room.problem;
		if (angle === null) problems[`${i}.angle`] = 'degrees, −180 to 180';
		return room.ok && angle !== null ? [{ angle, room: room.text }] : [];
	});
	if (Object.keys(problems).length > 0) return { ok: false, problems };
	if (points.length === 0) return { ok: false, problems: { '0.room': 'at least one figure' } };
	return { ok: true, value: points };
}

function readAngle(typed: string): number | null {
	const text = typed.trim().replace('−', '-').replace(',', '.');
	const angle = Number(text);
	return /^[-+]?\d+(\.\d+)?$/.test(text) && Math.abs(angle) <= 180 ? angle : null;
}
