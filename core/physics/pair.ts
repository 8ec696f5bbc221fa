/** Two spheres that fly straight: when they meet, and what they give one another. Three numbers for each in what is given; only + − × ÷ and √ are used. */

/**
 * When two meet, counted from the first one's own moment; never where they do not.
 * @param a where the numbers of the first begin @param b those of the second @param ago how much older the second one's place is, ps
 * @param near how near their middles come, nm
 */
export function meeting(
  at: Float64Array,
  velocity: Float64Array,
  a: number,
  b: number,
  ago: number,
  near: number,
): number {
  const [ux, uy, uz] = [velocity[b] as number, velocity[b + 1] as number, velocity[b + 2] as number];
  const x = (at[b] as number) + ux * ago - (at[a] as number);
  const y = (at[b + 1] as number) + uy * ago - (at[a + 1] as number);
  const z = (at[b + 2] as number) + uz * ago - (at[a + 2] as number);
  const vx = ux - (velocity[a] as number);
  const vy = uy - (velocity[a + 1] as number);
  const vz = uz - (velocity[a + 2] as number);
  const towards = x * vx + y * vy + z * vz;
  if (towards >= 0) return Infinity;
  const apart = x * x + y * y + z * z - near * near;
  const square = vx * vx + vy * vy + vz * vz;
  const inside = towards * towards - square * apart;
  if (inside < 0) return Infinity;
  // Of both roots the sooner, written so that nothing is lost where it is near.
  return apart <= 0 ? 0 : apart / (-towards + Math.sqrt(inside));
}

/** Two that touch give one another what they have along the line between them. @param m mass of the first @param n of the second */
export function exchange(at: Float64Array, velocity: Float64Array, a: number, b: number, m: number, n: number): void {
  const [x, y, z] = [
    (at[b] as number) - (at[a] as number),
    (at[b + 1] as number) - (at[a + 1] as number),
    (at[b + 2] as number) - (at[a + 2] as number),
  ];
  const towards =
    x * ((velocity[b] as number) - (velocity[a] as number)) +
    y * ((velocity[b + 1] as number) - (velocity[a + 1] as number)) +
    z * ((velocity[b + 2] as number) - (velocity[a + 2] as number));
  const push = (2 * towards) / ((m + n) * (x * x + y * y + z * z));
  velocity[a] = (velocity[a] as number) + push * n * x;
  velocity[a + 1] = (velocity[a + 1] as number) + push * n * y;
  velocity[a + 2] = (velocity[a + 2] as number) + push * n * z;
  velocity[b] = (velocity[b] as number) - push * m * x;
  velocity[b + 1] = (velocity[b + 1] as number) - push * m * y;
  velocity[b + 2] = (velocity[b + 2] as number) - push * m * z;
}
