/** One line of a lift table: degrees of the cam from its nose, and lift at the lobe in mm. */
export interface TableLine {
	readonly degree: number;
	readonly lift: number;
}
