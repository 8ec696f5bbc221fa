import { useState } from 'react';
import type { Act } from '@core/practicals/titration/acts';
import type { Plan } from '@core/practicals/titration/plan';
import { colourName } from '@core/chemistry/colour';
import { TAP_OPENINGS, type TapOpening } from '@core/instruments/tap';
import type { View } from '@core/practicals/titration/view';
import type { BenchPageProps } from '../drawing';
import type { Bench as AnyBench } from '../use-bench';
import { BenchFrame } from '../bench-frame';
import { readingY, SCENE } from './geometry';
import { LoupeFrame } from '../loupe-frame';
import { readingOf, type ReadingBoxProps } from '../reading-box';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { carried, indicatorIn, isIndicator, thingName, thingsOf, type Thing } from './things';
import { heard } from './tell';
import { TitrationTray } from './tray';
import { useKept } from '@app/ui/use-kept';
import { washOf } from './wash';
import { useHandKeys, useHands, type Move } from '../use-hands';
import { amountsFor, FIRST_TEXTS, type Amount } from './verb-props';
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
  const [loupe, setLoupe] = useState(true);
  const [tap, wantTap] = useTap(bench);

  const act = (next: Act) => {
    if (next.kind === 'tap') wantTap(next.opening);
    bench.act(next);
  };
  const nextOpening = (): Act => {
    const opening = TAP_OPENINGS[(TAP_OPENINGS.indexOf(tap) + 1) % TAP_OPENINGS.length] as TapOpening;
    return { kind: 'tap', opening };
  };
  const [indicator, setIndicator] = useState('');
  const putMove = (thing: Thing, to: Thing): Move<Amount, Act> => {
    const what = carried(thing, to);
    if (what === 'fill') return 'fillTo';
    if (what === 'water' || what === 'weigh') return what;
    if (what === 'indicator') {
      const id = isIndicator(thing) ? indicatorIn(thing) : '';
      return void hands.amounts.use('drops', { act: (drops) => ({ kind: 'indicator', id, drops }) });
    }
    if (what === 'volumetric') return { kind: view.pipetteFull ? 'drainToVolumetric' : 'drawDiluted' };
    if (what === 'probe') return { kind: 'probe', place: 'flask' };
    if (what === 'takeFlask' && !labels.supplied) return void say('Take the sample with the pipette.');
    return what && { kind: what };
  };
  /** Enter does with a thing what is done with it most. */
  const enterMove = (thing: Thing): Move<Amount, Act> => {
    if (thing === 'titrant') return putMove('titrant', 'burette');
    if (thing === 'burette') return nextOpening();
    if (thing === 'flask') return { kind: 'swirl' };
    if (thing === 'probe') return { kind: 'probe', place: view.probe.place === 'flask' ? 'stand' : 'flask' };
    if (thing === 'volumetric')
      return putMove(view.volumetric?.madeUp || view.pipetteFull ? 'pipette' : 'wash', 'volumetric');
    if (thing === 'jar') return putMove('jar', 'balance');
    if (thing === 'balance') return putMove('balance', 'flask');
    if (thing === 'sample' && labels.supplied) return { kind: 'takeFlask' };
    if (thing === 'sample' || thing === 'pipette') return putMove('pipette', view.pipetteFull ? 'flask' : 'sample');
    return thing === 'waste' ? undefined : putMove(thing, 'flask');
  };
  const hands = useHands<Thing, Amount, Act>({
    bench,
    say,
    lettersOn,
    things: thingsOf(labels),
    first: 'titrant',
    onSelect: (thing) => isIndicator(thing) && setIndicator(indicatorIn(thing)),
    act,
    amounts: amountsFor(indicator),
    texts: FIRST_TEXTS,
    nameOf: (thing) => thingName(thing, labels),
    heard: (thing) => heard(thing, view, labels),
    putMove,
    enterMove,
    isGoing: view.running || tap !== 'closed',
  });
  const { selected } = hands;
  const keys = useHandKeys(hands, {
    r: () => {
      if (selected === 'probe') act({ kind: 'recordMeter' });
      else if (selected === 'balance') act({ kind: 'recordMass', which: view.boatFull ? 'boat' : 'left' });
      else onRecordKey();
    },
    l: () => setLoupe((open) => !open),
    d: () => act({ kind: 'drop' }),
    s: () => act({ kind: 'swirl' }),
    x: () => act({ kind: 'tap', opening: 'closed' }),
    c: () => say(inFlask(view)),
  });

  const trial = view.trials.find((entry) => entry.number === view.trial);
  const dueSlot = view.slots.find(({ slot }) => slot === (trial?.first === null ? 'first' : 'last'));
  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={null}
      scene={
        <Scene
          view={view}
          labels={labels}
          sampleNumber={sampleNumber}
          tap={tap}
          hands={hands.scene}
          onTap={() => act(nextOpening())}
        />
      }
      loupe={
        loupe && (
          <>
            {view.flaskMl > 0.4 && <IntoFlask view={view} />}
            <LoupeAt
              view={view}
              reading={closed ? null : readingOf(bench, dueSlot, view.trial)}
              onClose={() => setLoupe(false)}
            />
          </>
        )
      }
      tray={<TitrationTray view={view} labels={labels} hands={hands} />}
      verbs={<Verbs view={view} labels={labels} tap={tap} hands={hands} onLoupe={() => setLoupe((open) => !open)} />}
    />
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
