import type { AnyLabels, AnyView } from '@core/practicals/registry';
import type { Drawing } from './drawing';

export type AnyDrawing = Drawing<AnyView, AnyLabels>;

type Family = AnyView['family'];
type Of<F extends Family, Any extends { family: Family }> = Extract<Any, { family: F }>;

/** A drawing with its family's types closed over; what is not of its family is a programmer's error. */
function open<F extends Family>(family: F, drawing: Drawing<Of<F, AnyView>, Of<F, AnyLabels>>): AnyDrawing {
  const own = <Any extends { family: Family }>(one: Any): Of<F, Any> => {
    if (one.family !== family) throw new TypeError(`this drawing is not one of ${one.family}`);
    return one as Of<F, Any>;
  };
  const { Page, Still, Loupe, Trials } = drawing;
  return {
    ...drawing,
    Page: ({ bench, labels, ...rest }) => (
      <Page bench={{ ...bench, view: own(bench.view) }} labels={own(labels)} {...rest} />
    ),
    Still: ({ view, labels, sampleNumber }) => (
      <Still view={own(view)} labels={own(labels)} sampleNumber={sampleNumber} />
    ),
    Loupe: ({ view, unnumbered }) => <Loupe view={own(view)} unnumbered={unnumbered} />,
    Trials: Trials && (({ view, closed, onAct }) => <Trials view={own(view)} closed={closed} onAct={onAct} />),
    due: (view) => drawing.due(own(view)),
    doubts: (view, act) => drawing.doubts(own(view), act),
    told: (before, after, labels) => drawing.told(own(before), own(after), own(labels)),
  };
}

/** How the drawing of each family comes: a new one is a folder beside this file and a line here. */
const DRAWINGS: Record<Family, () => Promise<AnyDrawing>> = {
  titration: async () => open('titration', (await import('./titration/drawing')).TITRATION),
  measuring: async () => open('measuring', (await import('./measuring/drawing')).MEASURING),
  particles: async () => open('particles', (await import('./particles/drawing')).PARTICLES),
  hydrates: async () => open('hydrates', (await import('./hydrates/drawing')).HYDRATES),
  solutions: async () => open('solutions', (await import('./solutions/drawing')).SOLUTIONS),
  spheres: async () => open('spheres', (await import('./spheres/drawing')).SPHERES),
  cylinder: async () => open('cylinder', (await import('./cylinder/drawing')).CYLINDER),
  gases: async () => open('gases', (await import('./gases/drawing')).GASES),
  heat: async () => open('heat', (await import('./heat/drawing')).HEAT),
};

export const isFamily = (name: string | undefined): name is Family =>
  name !== undefined && Object.hasOwn(DRAWINGS, name);

const loaded = new Map<Family, AnyDrawing>();

/** Fetches what a family draws: once, and before any page that shows its bench. */
export async function loadDrawing(family: Family): Promise<AnyDrawing> {
  const drawing = loaded.get(family) ?? (await DRAWINGS[family]());
  loaded.set(family, drawing);
  return drawing;
}

/** For the server, which shows benches of all families. */
export const loadDrawings = () => Promise.all(Object.keys(DRAWINGS).map((family) => loadDrawing(family as Family)));

/** The drawing of a family, which whoever shows its bench has loaded. */
export function drawingOf(family: Family): AnyDrawing {
  const drawing = loaded.get(family);
  if (!drawing) throw new TypeError(`the drawing of ${family} could not be loaded`);
  return drawing;
}
