/** A link that a customer opens a signed sheet by. */
export interface Share {
	readonly id: string;
	/** Of the sheet that it opens. */
	readonly revision: number;
	readonly until: string;
	/** How often it was opened, and when last. */
	readonly opened: number;
	readonly openedAt: string | null;
}
/** How long a link may open its sheet, in days. */
export const SHARE_DAYS = { usual: 30, max: 366 } as const;
