/**
 * The station that typed keys name: "3E", "12I". While only a cylinder number
 * is typed, or a kind that has several valves, the first that begins so.
 */
export function stationTyped(typed: string, labels: readonly string[]): string | undefined {
	const [, cylinder, rest = ''] = /^(\d+)(.*)$/.exec(typed.toUpperCase()) ?? [];
	if (cylinder === undefined) return undefined;
	const ofCylinder = labels.filter((label) => new RegExp(`^${cylinder}[IE]`).test(label));
	return ofCylinder.find((label) => label.toUpperCase().startsWith(cylinder + rest));
}

/** What stands typed after one more key: a key that no station goes on with begins anew. */
export function typeOn(typed: string, key: string, labels: readonly string[]): string {
	const longer = typed + key.toUpperCase();
	return stationTyped(longer, labels) ? longer : key.toUpperCase();
}
