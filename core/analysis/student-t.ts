/** Two-sided 95 % points of Student's t, from one degree of freedom on. Source: GUM, JCGM 100:2008, table G.2. */
const T95 = [12.71, 4.3, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23]; // prettier-ignore
const T95_LARGE = 1.96;

/** How many standard errors, estimated from so many degrees of freedom, lie to either side in 95 of 100 cases; beyond ten within a hundredth. */
export function t95(freedom: number): number {
  if (!(freedom >= 1)) return Infinity;
  return T95[Math.floor(freedom) - 1] ?? T95_LARGE + 2.5 / freedom;
}
