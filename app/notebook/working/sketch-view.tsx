import { useRef, useState } from 'react';
import type { Mark, Sketch } from '@core/notebook/document';
import type { Reading } from '@core/notebook/readings';
import { benchClock } from '@app/ui/bench-clock';
import { Button, INPUT } from '@app/ui/form';
import { shortId } from '@app/ui/new-id';
import { StillBench, StillLoupe, useMoment } from '../moment';
import { Marks } from './marks';
import { QUIET_BUTTON, Section } from './section';
import { useWorking } from './working-context';

type Pen = Mark['kind'];
type Place = [number, number];

const PENS: { pen: Pen; label: string }[] = [
  { pen: 'free', label: 'Freehand' },
  { pen: 'line', label: 'Straight line' },
  { pen: 'arrow', label: 'Arrow' },
  { pen: 'label', label: 'Label' },
];

/** Height of a sketch in thousandths of its width. */
const heightOf = (sketch: Sketch) => (sketch.under === 'loupe' ? 800 : 680);

/** What lies under the marks, without anything of the page around it. */
function Ground({ sketch }: { sketch: Sketch }) {
  const state = useMoment(sketch.under === 'nothing' ? null : { act: sketch.act, atS: sketch.atS });
  if (sketch.under === 'nothing') return null;
  if (state === 'loading')
    return <p className="text-ink-soft p-3 text-sm">The bench of that moment is being looked up…</p>;
  if (state === 'not reached')
    return (
      <p className="text-rust p-3 text-sm">
        The server cannot be reached, so the bench under this sketch is missing just now.
      </p>
    );
  return sketch.under === 'bench' ? <StillBench view={state.view} /> : <StillLoupe view={state.view} unnumbered />;
}

/** A sketch that only shows. */
export function StillSketch({ sketch }: { sketch: Sketch }) {
  return (
    <div className="border-line relative overflow-hidden border" style={{ aspectRatio: `1000 / ${heightOf(sketch)}` }}>
      <div className="absolute inset-0">
        <Ground sketch={sketch} />
      </div>
      <svg
        viewBox={`0 0 1000 ${heightOf(sketch)}`}
        className="daylight absolute inset-0 size-full"
        role="img"
        aria-label={describe(sketch)}
      >
        <Marks marks={sketch.marks} />
      </svg>
    </div>
  );
}

const describe = (sketch: Sketch) => {
  const labels = sketch.marks.flatMap((mark) => (mark.kind === 'label' ? [mark.text] : []));
  return `${sketch.name}${labels.length > 0 ? `, labelled: ${labels.join(', ')}` : ''}`;
};

/** A snapshot or an empty sheet, to draw and write on. */
export function SketchView({ sketch, readings }: { sketch: Sketch; readings: readonly Reading[] }) {
  const { edit, closed, onDropped } = useWorking();
  const then = readings.slice(0, sketch.readings).filter((reading) => reading.struck === null);
  const drop = () => {
    if (edit({ kind: 'dropSketch', sketch: sketch.id }))
      onDropped({ what: sketch.name, back: () => edit({ kind: 'addSketch', sketch }) });
  };
  return (
    <Section
      name={sketch.name}
      kind="sketch"
      closed={closed}
      note={sketch.under === 'nothing' ? undefined : `the bench at ${benchClock(sketch.atS)}`}
      onName={(name) => edit({ kind: 'nameSketch', sketch: sketch.id, name })}
      onDrop={drop}
    >
      {closed ? <StillSketch sketch={sketch} /> : <Sheet sketch={sketch} />}
      {sketch.under !== 'nothing' && then.length > 0 && (
        <p className="text-ink-soft mt-1 text-sm">
          Read by then:{' '}
          {then
            .map(
              (reading) =>
                `${reading.instrument}, trial ${reading.trial} ${reading.slot}, ${reading.text} ${reading.unit}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </Section>
  );
}

function Sheet({ sketch }: { sketch: Sketch }) {
  const { edit } = useWorking();
  const [pen, setPen] = useState<Pen>('free');
  const [stroke, setStroke] = useState<Place[]>([]);
  const [writing, setWriting] = useState<Place | null>(null);
  const [cross, setCross] = useState<Place | null>(null);
  const [begun, setBegun] = useState<Place | null>(null);
  const surface = useRef<SVGSVGElement>(null);
  const height = heightOf(sketch);
  const put = (mark: Mark) => edit({ kind: 'putMark', sketch: sketch.id, mark });
  const place = (event: React.PointerEvent): Place => {
    const box = (surface.current as SVGSVGElement).getBoundingClientRect();
    const scale = 1000 / box.width;
    return [Math.round((event.clientX - box.left) * scale), Math.round((event.clientY - box.top) * scale)];
  };
  const finish = (points: Place[]) => {
    setStroke([]);
    const [from, to] = [points[0], points.at(-1)];
    if (!from || !to) return;
    if (pen === 'free') put({ kind: 'free', id: shortId(), points: points.slice(0, 2000) });
    else if ((pen === 'line' || pen === 'arrow') && Math.hypot(to[0] - from[0], to[1] - from[1]) > 8)
      put({ kind: pen, id: shortId(), from, to });
  };
  const draft: Mark[] =
    stroke.length === 0
      ? []
      : pen === 'free'
        ? [{ kind: 'free', id: 'draft', points: stroke }]
        : pen === 'label'
          ? []
          : [{ kind: pen, id: 'draft', from: stroke[0] as Place, to: stroke.at(-1) as Place }];

  /** By keyboard: arrows move a cross, Enter begins and ends a stroke or places a label. */
  const onKeyDown = (event: React.KeyboardEvent) => {
    const far = event.shiftKey ? 50 : 10;
    const by = { ArrowRight: [far, 0], ArrowLeft: [-far, 0], ArrowDown: [0, far], ArrowUp: [0, -far] }[event.key];
    const at: Place = cross ?? [500, height / 2];
    if (by) {
      event.preventDefault();
      setCross([
        Math.min(Math.max(at[0] + (by[0] ?? 0), 0), 1000),
        Math.min(Math.max(at[1] + (by[1] ?? 0), 0), height),
      ]);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      setCross(at);
      if (pen === 'label') setWriting(at);
      else if (!begun) setBegun(at);
      else {
        finish([begun, at]);
        setBegun(null);
      }
    } else if (event.key === 'Escape') {
      setBegun(null);
      setCross(null);
    }
  };

  return (
    <>
      <div className="mb-1 flex flex-wrap items-center gap-x-4 text-sm">
        <span role="radiogroup" aria-label={`Pen for ${sketch.name}`} className="flex gap-3">
          {PENS.map((entry) => (
            <label key={entry.pen} className="flex items-center gap-1">
              <input
                type="radio"
                checked={pen === entry.pen}
                onChange={() => setPen(entry.pen)}
                name={`pen-${sketch.id}`}
              />
              {entry.label}
            </label>
          ))}
        </span>
        <button
          type="button"
          className={QUIET_BUTTON}
          disabled={sketch.marks.length === 0}
          onClick={() => edit({ kind: 'dropMark', sketch: sketch.id, mark: sketch.marks.at(-1)?.id ?? '' })}
        >
          Undo
        </button>
      </div>
      <div className="border-line-strong relative overflow-hidden border" style={{ aspectRatio: `1000 / ${height}` }}>
        <div className="absolute inset-0">
          <Ground sketch={sketch} />
        </div>
        <svg
          ref={surface}
          viewBox={`0 0 1000 ${height}`}
          className="daylight absolute inset-0 size-full"
          style={{ touchAction: 'none', cursor: pen === 'label' ? 'text' : 'crosshair' }}
          tabIndex={0}
          role="application"
          aria-label={`${describe(sketch)}. Arrow keys move the pen, Enter begins and ends a stroke or places a label.`}
          data-testid="sheet"
          onPointerDown={(event) => {
            if (event.button !== 0) return;
            if (pen === 'label') {
              event.preventDefault();
              return setWriting(place(event));
            }
            event.currentTarget.setPointerCapture(event.pointerId);
            setStroke([place(event)]);
          }}
          onPointerMove={(event) => stroke.length > 0 && setStroke([...stroke, place(event)])}
          onPointerUp={() => finish(stroke)}
          onPointerCancel={() => setStroke([])}
          onKeyDown={onKeyDown}
        >
          <Marks marks={[...sketch.marks, ...draft]} />
          {cross && (
            <path
              d={`M${cross[0] - 18} ${cross[1]}h36M${cross[0]} ${cross[1] - 18}v36${begun ? `M${begun[0]} ${begun[1]}L${cross[0]} ${cross[1]}` : ''}`}
              stroke="var(--water)"
              strokeWidth={3}
              fill="none"
            />
          )}
        </svg>
        {writing && (
          <LabelForm
            at={writing}
            height={height}
            onDone={(text) => {
              if (text !== '') put({ kind: 'label', id: shortId(), at: writing, text });
              setWriting(null);
            }}
          />
        )}
      </div>
    </>
  );
}

function LabelForm({ at, height, onDone }: { at: Place; height: number; onDone: (text: string) => void }) {
  const [text, setText] = useState('');
  return (
    <form
      className="absolute z-10 flex gap-1"
      style={{ left: `${Math.min(at[0] / 10, 60)}%`, top: `${Math.min((100 * at[1]) / height, 88)}%` }}
      onSubmit={(event) => {
        event.preventDefault();
        onDone(text.trim());
      }}
    >
      <input
        autoFocus
        aria-label="Text of the label"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onDone('')}
        className={`${INPUT} !text-heather w-36 font-serif`}
        maxLength={120}
      />
      <Button>Write</Button>
    </form>
  );
}
