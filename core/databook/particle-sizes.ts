/** Radii of particles of gases, nm: as they keep one another away at room temperature. Source: viscosities, Kaye and Laby, section 2.2. */
const RADIUS_NM: Readonly<Record<string, number>> = {
  helium: 0.11, neon: 0.13, argon: 0.18, krypton: 0.2, xenon: 0.24, methane: 0.19, nitrogen: 0.19, oxygen: 0.18, 'carbon-dioxide': 0.2, chlorine: 0.23, 'sulfur-hexafluoride': 0.26,
}; // prettier-ignore
const USUAL_NM = 0.2;

/** The radius of a particle of a gas by its id, nm. */
export const particleRadiusNm = (gasId: string): number => RADIUS_NM[gasId] ?? USUAL_NM;
