/**
 * The share of Student's t distribution between -t and t: Abramowitz and Stegun, Handbook of Mathematical Functions,
 * 26.7.3 and 26.7.4, for whole degrees of freedom.
 */
function within(t: number, degrees: number): number {
	const angle = Math.atan(t / Math.sqrt(degrees));
	const cosine = Math.cos(angle);
	const odd = degrees % 2 === 1;
	let term = odd ? cosine : 1;
	let sum = degrees === 1 ? 0 : term;
	for (let k = odd ? 3 : 2; k <= degrees - 2; k += 2) {
		term *= ((k - 1) / k) * cosine * cosine;
		sum += term;
	}
	return odd ? (2 / Math.PI) * (angle + Math.sin(angle) * sum) : Math.sin(angle) * sum;
}

/**
 * How far from 0 a share of Student's t distribution lies on both sides together.
 *
 * @param degrees of freedom, a whole number from 1
 * @param share 0…1 (without both)
 * @throws RangeError for degrees or a share that are none
 */
export function studentT(degrees: number, share = 0.95): number {
	if (!Number.isInteger(degrees) || degrees < 1)
		throw new RangeError(`degrees: a whole number from 1, not ${degrees}`);
	if (!(share > 0 && share < 1)) throw new RangeError(`share: between 0 and 1, not ${share}`);
	let [low, high] = [0, 1];
	while (within(high, degrees) < share) high *= 2;
	for (let i = 0; i < 80; i++) {
		const middle = (low + high) / 2;
		if (within(middle, degrees) < share) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
