/** How near a place is told, as a part of where it was looked for; and how often at most. */
const NEAR = 1e-14;
const MAX = 200;

/**
 * Where a function crosses zero, by false position with the end that stays put counted half
 * (the Illinois rule: Dowell and Jarratt 1971).
 *
 * @param from and `to`: places where it has opposite signs
 * @throws RangeError where it has not
 */
export function root(of: (x: number) => number, from: number, to: number): number {
	let [left, right] = [from, to];
	let [atLeft, atRight] = [of(left), of(right)];
	if (atLeft === 0) return left;
	if (atLeft * atRight > 0) throw new RangeError('no sign changes between the ends');
	const near = NEAR * Math.abs(to - from);
	for (let i = 0; i < MAX && Math.abs(right - left) > near && atRight !== 0; i++) {
		const middle = right - (atRight * (right - left)) / (atRight - atLeft);
		const atMiddle = of(middle);
		if (atMiddle * atRight < 0) [left, atLeft] = [right, atRight];
		else atLeft /= 2;
		[right, atRight] = [middle, atMiddle];
	}
	return right;
}
