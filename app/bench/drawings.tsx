import type { ComponentType } from 'react';
import type { AnyLabels, AnyView } from '@core/practicals/registry';
import type { AnyAct, Bench } from './use-bench';

/** What a family of practicals draws: the bench that is worked at, the bench that is looked back on, the loupe. */
export interface Drawing<View, Labels> {
  Page: ComponentType<BenchPageProps<View, Labels>>;
  /** The bench drawn from a view that stands still. */
  Still: ComponentType<{ view: View; labels: Labels; sampleNumber: string }>;
  /** The loupe at a moment; without its numbers where they are to be drawn. */
  Loupe: ComponentType<{ view: View; unnumbered: boolean }>;
  /** What the loupe shows, under the picture of a moment. */
  loupeCaption: string;
  /** The trials on the Readings page, where the family has a way of its own to show them. */
  Trials?: ComponentType<{ view: View; closed: boolean; onAct: (act: AnyAct) => void }>;
  /** The reading that is due, of those that are typed. */
  due(view: View): { trial: number; slot: string };
  /** Why an act would destroy work that is not recorded yet, and what its button says; null when it would not. */
  doubts(view: View, act: AnyAct): { sentence: string; verb: string } | null;
  /** What changed between two views, in sentences for who does not see it. */
  told(before: View, after: View, labels: Labels): string[];
  /** Keys of this bench, beside those of every bench. */
  keys: readonly [keys: string, what: string][];
}

export interface BenchPageProps<View, Labels> {
  bench: Bench<View>;
  labels: Labels;
  sampleNumber: string;
  lettersOn: boolean;
  say: (sentence: string) => void;
  onRecordKey: () => void;
  /** Whether nothing more can be done here. */
  closed: boolean;
}

export type AnyDrawing = Drawing<AnyView, AnyLabels>;

/** A drawing with its family's types closed over; what is not of its family is a programmer's error. */
function open<View extends AnyView, Labels extends AnyLabels>(
  drawing: Drawing<View, Labels>,
  isView: (view: AnyView) => view is View,
  isLabels: (labels: AnyLabels) => labels is Labels,
): AnyDrawing {
  const viewOf = (view: AnyView): View => {
    if (!isView(view)) throw new TypeError(`this drawing is not one of ${view.family}`);
    return view;
  };
  const labelsOf = (labels: AnyLabels): Labels => {
    if (!isLabels(labels)) throw new TypeError(`this drawing is not one of ${labels.family}`);
    return labels;
  };
  const { Page, Still, Loupe, Trials } = drawing;
  return {
    ...drawing,
    Page: ({ bench, labels, ...rest }) => (
      <Page bench={{ ...bench, view: viewOf(bench.view) }} labels={labelsOf(labels)} {...rest} />
    ),
    Still: ({ view, labels, sampleNumber }) => (
      <Still view={viewOf(view)} labels={labelsOf(labels)} sampleNumber={sampleNumber} />
    ),
    Loupe: ({ view, unnumbered }) => <Loupe view={viewOf(view)} unnumbered={unnumbered} />,
    Trials: Trials && (({ view, closed, onAct }) => <Trials view={viewOf(view)} closed={closed} onAct={onAct} />),
    due: (view) => drawing.due(viewOf(view)),
    doubts: (view, act) => drawing.doubts(viewOf(view), act),
    told: (before, after, labels) => drawing.told(viewOf(before), viewOf(after), labelsOf(labels)),
  };
}

type Family = AnyView['family'];
type ViewOf<F extends Family> = Extract<AnyView, { family: F }>;
type LabelsOf<F extends Family> = Extract<AnyLabels, { family: F }>;

/** How the drawing of each family comes: a new one is a folder beside this file and a line here. */
const DRAWINGS: Record<Family, () => Promise<AnyDrawing>> = {
  titration: async () =>
    open(
      (await import('./titration/drawing')).TITRATION,
      (view): view is ViewOf<'titration'> => view.family === 'titration',
      (labels): labels is LabelsOf<'titration'> => labels.family === 'titration',
    ),
  measuring: async () =>
    open(
      (await import('./measuring/drawing')).MEASURING,
      (view): view is ViewOf<'measuring'> => view.family === 'measuring',
      (labels): labels is LabelsOf<'measuring'> => labels.family === 'measuring',
    ),
  particles: async () =>
    open(
      (await import('./particles/drawing')).PARTICLES,
      (view): view is ViewOf<'particles'> => view.family === 'particles',
      (labels): labels is LabelsOf<'particles'> => labels.family === 'particles',
    ),
  hydrates: async () =>
    open(
      (await import('./hydrates/drawing')).HYDRATES,
      (view): view is ViewOf<'hydrates'> => view.family === 'hydrates',
      (labels): labels is LabelsOf<'hydrates'> => labels.family === 'hydrates',
    ),
  solutions: async () =>
    open(
      (await import('./solutions/drawing')).SOLUTIONS,
      (view): view is ViewOf<'solutions'> => view.family === 'solutions',
      (labels): labels is LabelsOf<'solutions'> => labels.family === 'solutions',
    ),
  spheres: async () =>
    open(
      (await import('./spheres/drawing')).SPHERES,
      (view): view is ViewOf<'spheres'> => view.family === 'spheres',
      (labels): labels is LabelsOf<'spheres'> => labels.family === 'spheres',
    ),
  cylinder: async () =>
    open(
      (await import('./cylinder/drawing')).CYLINDER,
      (view): view is ViewOf<'cylinder'> => view.family === 'cylinder',
      (labels): labels is LabelsOf<'cylinder'> => labels.family === 'cylinder',
    ),
  gases: async () =>
    open(
      (await import('./gases/drawing')).GASES,
      (view): view is ViewOf<'gases'> => view.family === 'gases',
      (labels): labels is LabelsOf<'gases'> => labels.family === 'gases',
    ),
  heat: async () =>
    open(
      (await import('./heat/drawing')).HEAT,
      (view): view is ViewOf<'heat'> => view.family === 'heat',
      (labels): labels is LabelsOf<'heat'> => labels.family === 'heat',
    ),
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
