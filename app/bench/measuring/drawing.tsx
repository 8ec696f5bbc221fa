import type { Plan } from '@core/practicals/measuring/plan';
import type { View } from '@core/practicals/measuring/view';
import { vesselOf } from '@core/databook/vessels';
import { readingFor } from '@core/notebook/readings';
import type { Drawing } from '../drawing';
import { still } from '../still';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';
import { dueReading } from './due-reading';

const VOLUMES = ['V', 'F', 'V1', 'V2'];
/** Acts after which a surface can no longer be read. */
const LOSING = ['empty', 'away', 'fish'];

/** The drawing of the practicals of measuring. */
export const MEASURING: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: still(Scene),
  Loupe: ({ view, unnumbered }) => <Loupe view={view} appearance={view.appearance} unnumbered={unnumbered} />,
  loupeCaption: 'What was looked at then.',
  due: dueReading,
  doubts: (view, act) => {
    const missing = view.slots.find(
      ({ slot, typed }) => typed && VOLUMES.includes(slot) && readingFor(view, view.trial, slot) === undefined,
    );
    if (!missing || !LOSING.includes(act.kind)) return null;
    const vessel = view.vessels[Number(act['vessel']) - 1];
    if (!vessel) return null;
    const holds = act.kind === 'fish' ? vessel.lying.length > 0 : !vessel.empty || vessel.lying.length > 0;
    if (!holds || (vessel.engraved === null && vesselOf(vessel.type).divisionMl === null)) return null;
    return {
      sentence: `The ${missing.label} of trial ${view.trial} is not recorded yet, and what stands there now cannot be had back.`,
      verb: 'Go on',
    };
  },
  told,
  keys: [
    ['E', 'brings the eye level with the surface'],
    ['T', 'tares the balance'],
    ['D', 'gives drops from the dropper'],
    ['X', 'sets upright what is tilted, closes the tap'],
  ],
};
