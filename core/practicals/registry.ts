import { GAS_PRACTICALS } from './gases';
import type { Plan as GasPlan } from './gases/plan';
import type { Moving as GasMoving, View as GasView } from './gases/view';
import { HEATS } from './heat';
import { SOLUTION_PRACTICALS } from './solutions';
import type { Plan as SolutionPlan } from './solutions/plan';
import type { Moving as SolutionMoving, View as SolutionView } from './solutions/view';
import { HYDRATE_PRACTICALS } from './hydrates';
import type { Plan as HydratePlan } from './hydrates/plan';
import type { Moving as HydrateMoving, View as HydrateView } from './hydrates/view';
import type { Plan as HeatPlan } from './heat/plan';
import type { Moving as HeatMoving, View as HeatView } from './heat/view';
import { MEASURINGS } from './measuring';
import type { Plan as MeasuringPlan } from './measuring/plan';
import type { Moving as MeasuringMoving, View as MeasuringView } from './measuring/view';
import { TITRATIONS } from './titration';
import type { Plan as TitrationPlan } from './titration/plan';
import type { Moving as TitrationMoving, View as TitrationView } from './titration/view';
import { openPractical, type LiveBench, type OpenPractical } from './live-bench';
import { PARTICLES } from './particles';
import { CYLINDER_PRACTICALS } from './cylinder';
import type { Plan as CylinderPlan } from './cylinder/plan';
import type { Moving as CylinderMoving, View as CylinderView } from './cylinder/view';
import { SPHERES } from './spheres';
import type { Plan as SpheresPlan } from './spheres/plan';
import type { Moving as SpheresMoving, View as SpheresView } from './spheres/view';
import type { Plan as ParticlesPlan } from './particles/plan';
import type { Moving as ParticlesMoving, View as ParticlesView } from './particles/view';

/** Every practical that can be set. A new one is a folder beside this file, a bench drawing, and a line here. */
export const PRACTICALS = {
  'acid-concentration': openPractical(TITRATIONS.acid),
  'base-concentration': openPractical(TITRATIONS.base),
  'polyprotic-acid': openPractical(TITRATIONS.polyprotic),
  'percent-by-mass': openPractical(TITRATIONS.weighed),
  'standardised-base': openPractical(TITRATIONS.standardised),
  'unknown-acid': openPractical(TITRATIONS.unknown),
  'back-titration': openPractical(TITRATIONS.back),
  'unknown-in-burette': openPractical(TITRATIONS.inBurette),
  'reading-a-scale': openPractical(MEASURINGS.scale),
  'regular-solids': openPractical(MEASURINGS.regular),
  displacement: openPractical(MEASURINGS.displacement),
  'liquid-density': openPractical(MEASURINGS.liquids),
  'water-in-hydrate': openPractical(HYDRATE_PRACTICALS.water),
  'which-hydrate': openPractical(HYDRATE_PRACTICALS.which),
  'part-of-hydrate': openPractical(HYDRATE_PRACTICALS.part),
  'which-react': openPractical(SOLUTION_PRACTICALS.ratio),
  'which-bottle': openPractical(SOLUTION_PRACTICALS.bottles),
  'solid-yield': openPractical(SOLUTION_PRACTICALS.yield),
  'solid-found': openPractical(SOLUTION_PRACTICALS.found),
  'runs-out': openPractical(SOLUTION_PRACTICALS.runsOut),
  'two-portions': openPractical(HEATS.portions),
  'metal-by-heat': openPractical(HEATS.metal),
  'salt-by-heat': openPractical(HEATS.salt),
  'acid-with-base': openPractical(HEATS.neutral),
  'acid-by-temperature': openPractical(HEATS.byTemperature),
  'pellet-in-oxygen': openPractical(HEATS.pellet),
  'lamp-fuels': openPractical(HEATS.lamps),
  'freezing-point': openPractical(HEATS.freezing),
  'molar-mass-by-freezing': openPractical(HEATS.molarMass),
  'mixture-melting': openPractical(HEATS.mixture),
  'pressure-volume': openPractical(GAS_PRACTICALS.pressureVolume),
  'volume-temperature': openPractical(GAS_PRACTICALS.volumeTemperature),
  'pressure-temperature': openPractical(GAS_PRACTICALS.pressureTemperature),
  'vapour-molar-mass': openPractical(GAS_PRACTICALS.molarMass),
  'gas-over-water': openPractical(GAS_PRACTICALS.overWater),
  'one-particle': openPractical(PARTICLES.one),
  'light-and-heavy': openPractical(SPHERES.lightAndHeavy),
  'one-to-many': openPractical(CYLINDER_PRACTICALS.many),
  'where-pressure-comes-from': openPractical(CYLINDER_PRACTICALS.impacts),
  'one-law': openPractical(CYLINDER_PRACTICALS.oneLaw),
};

export type PracticalId = keyof typeof PRACTICALS;
export const PRACTICAL_IDS = Object.keys(PRACTICALS) as [PracticalId, ...PracticalId[]];

/** What eyes and instruments tell of any bench, what of it moves, and what its labels say. */
export type AnyView =
  | TitrationView
  | MeasuringView
  | ParticlesView
  | HeatView
  | HydrateView
  | SolutionView
  | GasView
  | SpheresView
  | CylinderView;
export type AnyFrame =
  | TitrationMoving
  | MeasuringMoving
  | ParticlesMoving
  | HeatMoving
  | HydrateMoving
  | SolutionMoving
  | GasMoving
  | SpheresMoving
  | CylinderMoving;
export type AnyLabels =
  | TitrationPlan
  | MeasuringPlan
  | ParticlesPlan
  | HeatPlan
  | HydratePlan
  | SolutionPlan
  | GasPlan
  | SpheresPlan
  | CylinderPlan;

export type AnyBench = LiveBench<AnyView, AnyFrame>;
export type AnyPractical = OpenPractical<AnyView, AnyFrame, AnyLabels>;
