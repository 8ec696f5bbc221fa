import { useCallback, useState } from 'react';
import type { Act } from '@core/practicals/titration/acts';
import type { Plan } from '@core/practicals/titration/plan';
import { colourName } from '@core/chemistry/colour';
import { TAP_OPENINGS, type TapOpening } from '@core/instruments/tap';
import type { View } from '@core/practicals/titration/view';
import type { BenchPageProps } from '../drawings';
import type { Bench as AnyBench } from '../use-bench';
import { CarryLabel } from '../bench-parts';
import { useCarry } from '../use-carry';
import { readingY, SCENE } from './geometry';
import { LoupeFrame } from '../loupe-frame';
import type { ReadingBoxProps } from '../reading-box';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { carried, indicatorIn, isIndicator, thingName, thingsOf, type Thing } from './things';
import { heard } from './tell';
import { Tray } from './tray';
import { capital } from '@app/ui/capital';
import { useKept } from '@app/ui/use-kept';
import { washOf } from './wash';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { FIRST_AMOUNTS, type Amounts } from './amount-verb';
import { Verbs } from './verbs';

type Bench = AnyBench<View>;

/** The tap as set here, until the bench has answered. */
function useTap(bench: Bench): [TapOpening, (opening: TapOpening) => void] {
  const [wanted, setWanted] = useState<TapOpening | null>(null);
  if (wanted !== null && bench.waiting === 0) setWanted(null);
  return [wanted ?? bench.view.tap, setWanted];
}

/** The bench of a titration: the drawing, the loupe, the verbs of what is selected, the tray. */
export function BenchPage({
  bench,
  labels,
  sampleNumber,
  lettersOn,
  say,
  onRecordKey,
  closed,
}: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [selected, setSelected] = useState<Thing>('titrant');
  const [loupe, setLoupe] = useState(true);
  const [tap, wantTap] = useTap(bench);

  const act = useCallback(
    (next: Act) => {
      if (next.kind === 'tap') wantTap(next.opening);
      bench.act(next);
    },
    [bench, wantTap],
  );
  const { amounts, onAmount, amountAct } = useAmounts<keyof Amounts, Act>(FIRST_AMOUNTS, act, say);
  const put = useCallback(
    (thing: Thing, to: Thing) => {
      const what = carried(thing, to);
      if (what === 'fill') amountAct('fillTo', 'mL', (toMl) => ({ kind: 'fill', toMl }));
      else if (what === 'water') amountAct('water', 'mL', (ml) => ({ kind: 'water', ml }));
      else if (what === 'indicator') {
        if (!isIndicator(thing)) return;
        amountAct('drops', 'drops', (drops) => ({ kind: 'indicator', id: indicatorIn(thing), drops }));
      } else if (what === 'volumetric') act({ kind: view.pipetteFull ? 'drainToVolumetric' : 'drawDiluted' });
      else if (what === 'weigh') amountAct('weigh', 'g', (g) => ({ kind: 'weigh', g }));
      else if (what === 'probe') act({ kind: 'probe', place: 'flask' });
      else if (what === 'takeFlask' && !labels.supplied) say('Take the sample with the pipette.');
      else if (what) act({ kind: what });
      else say(`The ${thingName(thing, labels)} and the ${thingName(to, labels)} have nothing to do with each other.`);
    },
    [act, amountAct, labels, say, view.pipetteFull],
  );
  const { carry, lift, near } = useCarry<Thing>(setSelected, put);
  const liftNear = near(lift);

  const nextOpening = () => {
    const next = TAP_OPENINGS[(TAP_OPENINGS.indexOf(tap) + 1) % TAP_OPENINGS.length] as TapOpening;
    act({ kind: 'tap', opening: next });
  };

  /** Enter does with a thing what is done with it most. */
  const enter = (thing: Thing) => {
    if (thing === 'titrant') put('titrant', 'burette');
    else if (thing === 'burette') nextOpening();
    else if (thing === 'flask') act({ kind: 'swirl' });
    else if (thing === 'probe') act({ kind: 'probe', place: view.probe.place === 'flask' ? 'stand' : 'flask' });
    else if (thing === 'volumetric')
      put(view.volumetric?.madeUp || view.pipetteFull ? 'pipette' : 'wash', 'volumetric');
    else if (thing === 'jar') put('jar', 'balance');
    else if (thing === 'balance') put('balance', 'flask');
    else if (thing === 'sample' && labels.supplied) act({ kind: 'takeFlask' });
    else if (thing === 'sample' || thing === 'pipette') put('pipette', view.pipetteFull ? 'flask' : 'sample');
    else if (thing !== 'waste') put(thing, 'flask');
  };

  const { area, onKeyDown } = useBenchKeys<Thing>({
    things: thingsOf(labels),
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      r: () => {
        if (selected === 'probe') act({ kind: 'recordMeter' });
        else if (selected === 'balance') act({ kind: 'recordMass', which: view.boatFull ? 'boat' : 'left' });
        else onRecordKey();
      },
      p: () => clockKey(bench, view.running || tap !== 'closed', say),
      l: () => setLoupe((open) => !open),
      d: () => act({ kind: 'drop' }),
      s: () => act({ kind: 'swirl' }),
      x: () => act({ kind: 'tap', opening: 'closed' }),
      w: () => say(capital(`${heard(selected, view, labels)}.`)),
      c: () => say(inFlask(view)),
    },
  });

  const trial = view.trials.find((entry) => entry.number === view.trial);
  const dueSlot = view.slots.find(({ slot }) => slot === (trial?.first === null ? 'first' : 'last'));
  const dueReading = dueSlot
    ? {
        slot: dueSlot,
        trial: view.trial,
        last: view.recordableTrial,
        onAct: bench.act,
        message: bench.message,
        readings: view.readings,
      }
    : null;
  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div
        className="[container-type:size] relative min-h-0 grow touch-none overflow-hidden"
        data-testid="bench"
        onPointerDown={liftNear}
        onContextMenu={(event) => event.preventDefault()}
      >
        <Scene
          view={view}
          labels={labels}
          sampleNumber={sampleNumber}
          tap={tap}
          selected={selected}
          onSelect={setSelected}
          onTap={nextOpening}
          lift={lift}
        />
        {loupe && view.flaskMl > 0.4 && <IntoFlask view={view} />}
        {loupe && <LoupeAt view={view} reading={closed ? null : dueReading} onClose={() => setLoupe(false)} />}
      </div>
      {/* Before the verbs for who goes on by Tab, under them for the eye. */}
      <Tray view={view} labels={labels} selected={selected} onSelect={setSelected} lift={lift} />
      <Verbs
        selected={selected}
        view={view}
        labels={labels}
        tap={tap}
        amounts={amounts}
        onAmount={onAmount}
        onAct={act}
        onAmountAct={amountAct}
        onLoupe={() => setLoupe((open) => !open)}
      />
      {carry && <CarryLabel carry={carry} nameOf={(thing) => thingName(thing, labels)} />}
    </div>
  );
}

/** What the flask looks like, in a sentence. */
function inFlask(view: View): string {
  if (view.flaskMl <= 0.4) return 'The flask is empty.';
  const cloud = view.cloud ? `, ${colourName(view.cloud.colour)} where it falls` : '';
  const solid = view.solid ? ' Solid lies at the bottom.' : '';
  return `The liquid in the flask is ${colourName(view.colour)}${cloud}.${solid}${view.wall ? ' Drops hang on its wall.' : ''}`;
}

/** The same loupe over the flask's mouth: the colour against the white tile, as large as it must be to be judged. */
function IntoFlask({ view }: { view: Bench['view'] }) {
  const [named, keep] = useKept('fen-colour-names', 'off');
  return (
    <figure
      data-keep-clear
      className="short:top-1 short:bottom-auto absolute right-3 bottom-7 w-[21%] max-w-[150px] text-center"
      data-testid="into-flask"
    >
      <svg viewBox="-60 -60 120 120" role="img" aria-label={`Looking down into the flask: ${colourName(view.colour)}`}>
        <circle r={57} className="stroke-ink fill-white" strokeWidth={1.5} />
        <circle r={52} fill={washOf(view.colour)} />
        {view.cloud && (
          <ellipse
            rx={6 + 42 * view.cloud.size}
            ry={5 + 34 * view.cloud.size}
            fill={washOf(view.cloud.colour)}
            style={{ filter: 'blur(3px)' }}
          />
        )}
      </svg>
      <figcaption className="text-ink-soft text-xs">
        <button
          type="button"
          className="min-h-6 underline"
          aria-pressed={named === 'on'}
          onClick={() => keep(named === 'on' ? 'off' : 'on')}
        >
          {named === 'on' ? 'into the flask:' : 'into the flask; name its colour'}
        </button>
        {named === 'on' && <span className="text-ink block font-medium">{colourName(view.colour)}</span>}
      </figcaption>
    </figure>
  );
}

/** The loupe stands to the right of the burette, at the height of the meniscus as far as the bench allows. */
function LoupeAt({
  view,
  reading,
  onClose,
}: {
  view: Bench['view'];
  reading: ReadingBoxProps | null;
  onClose: () => void;
}) {
  // In steps, so that it does not swim along while titrant runs.
  const part = Math.round(5 * Math.min(Math.max(readingY(view.levelMl) / SCENE.height, 0.21), 0.6)) / 5;
  return (
    <LoupeFrame name="titration" wanted={{ x: 0.74, y: part }} caption="burette" reading={reading} onClose={onClose}>
      <Loupe view={view} />
    </LoupeFrame>
  );
}
