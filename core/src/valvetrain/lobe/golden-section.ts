/**
 * Where a function of one valley is least.
 *
 * @param times how often the place is narrowed, each to 0.618 of what it was
 */
export function goldenSection(
	of: (x: number) => number,
	from: number,
	to: number,
	times: number
): number {
	const part = (Math.sqrt(5) - 1) / 2;
	let [low, high] = [from, to];
	let [left, right] = [high - (high - low) * part, low + (high - low) * part];
	let [atLeft, atRight] = [of(left), of(right)];
	for (let i = 0; i < times; i++) {
		if (atLeft < atRight) {
			[high, right, atRight] = [right, left, atLeft];
			left = high - (high - low) * part;
			atLeft = of(left);
		} else {
			[low, left, atLeft] = [left, right, atRight];
			right = low + (high - low) * part;
			atRight = of(right);
		}
	}
	return (low + high) / 2;
}
