import { error } from '@sveltejs/kit';
import type { z } from 'zod';
import { isTooDeep, pathText, TOO_DEEP } from '@zinc-ledger/core/file';

/** The JSON body of a request, checked; a wrong one is a 400 that names each field. */
export async function checkedBody<S extends z.ZodType>(
	request: Request,
	schema: S
): Promise<z.infer<S>> {
	let value: unknown;
	const text = await request.text();
	if (isTooDeep(text)) error(400, `The request ${TOO_DEEP}.`);
	try {
		value = JSON.parse(text);
	} catch {
		error(400, 'The request is not JSON.');
	}
	const result = schema.safeParse(value);
	if (result.success) return result.data;
	error(
		400,
		result.error.issues.map((issue) => `${pathText(issue.path)}: ${issue.message}`).join('; ')
	);
}
