/** Error function by its series and continued fraction; Abramowitz & Stegun 7.1.5 and 7.1.14. */
export function erf(x: number): number {
  if (x < 0) return -erf(-x);
  if (x < 2.5) {
    let term = x;
    let sum = x;
    for (let n = 1; n < 80; n++) {
      term *= (-x * x) / n;
      sum += term / (2 * n + 1);
      if (Math.abs(term) < 1e-17) break;
    }
    return (2 / Math.sqrt(Math.PI)) * sum;
  }
  let fraction = 0;
  for (let n = 60; n >= 1; n--) fraction = n / 2 / (x + fraction);
  return 1 - Math.exp(-x * x) / (Math.sqrt(Math.PI) * (x + fraction));
}

/** The rest of it times exp(x²), for x of 0 or more: stays exact where the product of the two would not. */
export function scaledErfc(x: number): number {
  if (x < 5) return Math.exp(x * x) * (1 - erf(x));
  // First terms of the asymptotic series, Abramowitz & Stegun 7.1.23.
  return (1 - 1 / (2 * x * x) + 3 / (4 * x ** 4)) / (x * Math.sqrt(Math.PI));
}
