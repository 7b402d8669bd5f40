/** Where the calculators were; addresses with entries in them were sent to others and kept. */
import { redirect } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ url }) => redirect(308, `/calculators${url.search}`);
