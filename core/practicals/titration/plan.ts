import { INDICATORS, type IndicatorId } from '../../databook/indicators';
import type { Readability } from '../../instruments/balance';
import { soluteOf } from '../../databook/solutes';

/** The probe on the tray. */
export const SENSORS = ['none', 'pH', 'conductivity'] as const;
export type Sensor = (typeof SENSORS)[number];

/** What stands on the bench and what its labels say: all of it may be told to the student. */
export interface Plan {
  family: 'titration';
  titrantName: string;
  titrantFormula: string;
  /** Unit of concentration on labels and in answers. */
  unit: string;
  /** The bottle that the pipette is filled from; null where only a solid is taken. */
  bottle: { name: string; lines: string[] } | null;
  pipetteMl: number;
  /** Whether the flask comes with the portion already in it, measured. */
  supplied: boolean;
  /** The volumetric flask that the sample is diluted in before it is titrated, mL; null where it is not. */
  diluteToMl: number | null;
  /** Whether a bubble, drops on the wall and a funnel left in can happen. */
  mishaps: boolean;
  /** A solid that is weighed out; null where there is none. */
  jar: { name: string; lines: string[] } | null;
  /** About how much of it is weighed out, g; null where nothing is. */
  aboutG: number | null;
  readability: Readability;
  /** Whether the flask can be warmed. */
  warm: boolean;
  /** Whether a base is in excess by a drop at the end, where the name of the titrant does not tell. */
  endsBasic?: boolean;
  probe: Sensor;
  activities: boolean;
  indicators: { id: IndicatorId; name: string; solution: string }[];
}

/** What every kind of titration lets the teacher choose about its bench. */
export interface CommonSetup {
  indicators: readonly IndicatorId[];
  probe?: Sensor;
  /** Whether the titrant has taken up carbon dioxide. */
  carbonate?: boolean;
  activities: boolean;
  mishaps?: boolean;
  unit: string;
}

export function planOf(
  setup: CommonSetup,
  titrantId: string,
  more: Partial<
    Omit<Plan, 'family' | 'titrantName' | 'titrantFormula' | 'unit' | 'probe' | 'activities' | 'mishaps' | 'indicators'>
  >,
): Plan {
  const titrant = soluteOf(titrantId);
  return {
    family: 'titration',
    titrantName: titrant.name,
    titrantFormula: titrant.formula,
    unit: setup.unit,
    bottle: null,
    pipetteMl: 25,
    supplied: false,
    diluteToMl: null,
    mishaps: setup.mishaps ?? false,
    jar: null,
    aboutG: null,
    readability: '0.001',
    warm: false,
    probe: setup.probe ?? 'none',
    activities: setup.activities,
    indicators: INDICATORS.filter((i) => setup.indicators.some((id) => id === i.id)).map(({ id, name, solution }) => ({
      id,
      name,
      solution,
    })),
    ...more,
  };
}
