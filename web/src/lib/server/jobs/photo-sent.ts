/** A photo as the body of a request, made small and kept, or refused with what is wrong with it. */
import { json } from '@sveltejs/kit';
import type { Sent } from '$lib/access/body-limits';
import { message, type Message } from '@zinc-ledger/core';
import { makeSmall, MAX_BYTES, type MadeSmall, type Photo } from './photos';
import { refuse } from '../http/refuse';

export async function photoSent(
	sent: Sent | null,
	keep: (made: MadeSmall) => Promise<Photo | { problem: Message }>
): Promise<Response> {
	const bytes = sent ? Buffer.from(sent.bytes) : Buffer.alloc(0);
	if (bytes.length > MAX_BYTES) refuse(413, message('photo.too-large'));
	const made = await makeSmall(bytes);
	if ('problem' in made) refuse(415, made.problem);
	const kept = await keep(made);
	if ('problem' in kept) refuse(409, kept.problem);
	return json(kept);
}
