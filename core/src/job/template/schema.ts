/** An engine as a shop knows it: how its heads lie, and what a job on one starts with. */
import { z } from 'zod';
import { Layout, Setup } from '../document/schema.ts';
import { Id, Name } from '../../foundation/units/schema.ts';

export const Template = z.strictObject({
	id: Id,
	name: Name,
	layout: Layout,
	/** Rockers, pockets, compression, aims and limits; no springs, and nothing of one visit. */
	setup: Setup
});
export type Template = z.infer<typeof Template>;
