const LN_2 = 0.6931471805599453;

/**
 * Natural logarithm of a number above 0 by additions, multiplications and divisions alone, so that every machine finds the same: `Math.log` may
 * differ in its last digit from one to the next. Within 2·10⁻¹⁵ of the true value. By ln m = 2 artanh((m − 1)/(m + 1)) for m near 1.
 */
export function ownLog(x: number): number {
  if (!(x > 0)) return x === 0 ? -Infinity : NaN;
  if (x === Infinity) return Infinity;
  let m = x;
  let twos = 0;
  while (m > Math.SQRT2) {
    m /= 2;
    twos++;
  }
  while (m < Math.SQRT1_2) {
    m *= 2;
    twos--;
  }
  const t = (m - 1) / (m + 1);
  const square = t * t;
  let sum = 0;
  for (let k = 25; k >= 1; k -= 2) sum = sum * square + 1 / k;
  return 2 * t * sum + twos * LN_2;
}
