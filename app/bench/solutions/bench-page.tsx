import { useState } from 'react';
import type { Act } from '@core/practicals/solutions/acts';
import type { Plan } from '@core/practicals/solutions/plan';
import type { PaperPlace } from '@core/practicals/solutions/solids/paper';
import type { View } from '@core/practicals/solutions/view';
import { BenchFrame } from '../bench-frame';
import type { BenchPageProps } from '../drawing';
import { LoupeFrame } from '../loupe-frame';
import { Tray, TraySketch } from '../tray';
import { useHandKeys, useHands } from '../use-hands';
import { amountsFor, amountVerb, FIRST_TEXTS } from './amounts';
import { CloseLook, PaperLook } from './loupe';
import {
  enterMove,
  putMove,
  recordAbsorbance,
  recordMass,
  recordTool,
  WAYS,
  weighMove,
  type Amount,
  type Give,
  type Hand,
} from './moves';
import { Scene } from './scene';
import { askedOf, heard, pouredWords } from './tell';
import {
  isOwn,
  labelledName,
  isDipped,
  numberOf,
  onTray,
  sheetOf,
  sourcesOf,
  thingName,
  thingsOf,
  type Thing,
} from './things';
import { slipActs, volumeActs } from './record-acts';
import { Verbs } from './verbs';

const SKETCHES: Partial<Record<Thing, string>> = {
  tube: 'M14 4 H26 M16 4 V36 Q16 42 20 42 Q24 42 24 36 V4',
  beaker: 'M6 8 Q9 9 9 13 V40 H31 V9 h2',
  paper: 'M8 8 H32 V40 H8 Z M8 8 q12 -6 24 0 M14 14 V34 M20 14 V34 M26 14 V34',
  cellulose: 'M20 8 a16 16 0 1 0 0.1 0 M20 8 V40 M4 24 H36',
  glass: 'M20 8 a16 16 0 1 0 0.1 0 M10 18 l6 4 M22 14 l8 5 M14 30 l7 -4 M24 32 l6 -5',
  plate: 'M4 12 H36 V40 H4 Z M14 20 a4 4 0 1 0 0.1 0 M26 20 a4 4 0 1 0 0.1 0 M20 4 V10 M16 6 l4 5 l4 -5',
};

const NOT_WEIGHED = 'Nothing that is asked for is on the balance: put on what is to be weighed.';

/** The bench of solutions: the drawing, the loupe at what is selected, its verbs, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  // Where so much stands there, it would cover what is worked with.
  const [loupe, setLoupe] = useState(labels.balance === null);
  const [hand, setHand] = useState<Hand>({ from: 1, way: 'pipette' });
  const [into, setInto] = useState(1);
  const onHand = (change: Partial<Hand>) => setHand((all) => ({ ...all, ...change }));
  const isSource = (number: number | null): number is number => number !== null && sourcesOf(view).includes(number);
  const takesFrom = (from: number): undefined => {
    onHand({ from });
    say(`What is put in comes from ${labelledName(view, from)}.`);
  };
  const give = (what: Give) => void amounts.use(what.amount, amountVerb(what, hand.way));
  const done = (move: Act | Give | null) => (move === null || 'kind' in move ? move : give(move));
  const hands = useHands<Thing, Amount, Act>({
    bench,
    say,
    lettersOn,
    things: thingsOf(view, labels),
    first: 'vessel:1',
    onSelect: (thing) => setInto(numberOf(thing) ?? 1),
    // What is chosen is what the loupe looks at; a bottle that is taken by hand, or by Enter, is what is taken from. Passing it by arrows is neither.
    onGrasp: (thing) => {
      const from = numberOf(thing);
      if (isSource(from)) onHand({ from });
    },
    act: (next) => {
      if ((next.kind === 'drops' || next.kind === 'measure') && next.from === next.to)
        return say('It cannot be poured into itself. Choose what it comes from.');
      bench.act(next);
    },
    amounts: amountsFor(hand, into),
    texts: FIRST_TEXTS,
    nameOf: (thing) => thingName(thing, view),
    heard: (thing) => askedOf(thing, view),
    putMove: (thing, to) => {
      const [from, other] = [numberOf(thing), numberOf(to)];
      if (from !== null && other !== null) onHand({ from });
      return done(putMove(thing, to, view, labels.measures));
    },
    enterMove: (thing) => {
      const from = numberOf(thing);
      return isSource(from) ? takesFrom(from) : done(enterMove(thing, view, hand, labels.measures));
    },
  });
  const { selected, act: perform, amounts, nameOf } = hands;
  const number = numberOf(selected);
  const sheet = sheetOf(selected);
  const chosen = number === null ? undefined : view.vessels[number - 1];
  const record = () => {
    const mass = recordMass(view);
    const isWeighed = selected === 'balance' || selected === 'boat' || sheet !== null || chosen?.at === 'pan';
    if (isWeighed) return mass ? perform(mass) : say(NOT_WEIGHED);
    if (isDipped(selected)) return perform(recordTool(selected, view));
    if (selected === 'colorimeter') return perform(recordAbsorbance(view));
    if (selected === 'analysis') {
      const next = view.slips.findIndex(
        ({ left }, i) =>
          left !== null &&
          slipActs(view, i).length > 0 &&
          !view.readings.some((r) => r.slot === 'p' && r.trial === view.slips[i]?.trial && r.struck === null),
      );
      if (next < 0) return say('There is no slip that is not recorded yet.');
      return slipActs(view, next).forEach((act) => perform(act));
    }
    const volumes = number === null || !labels.measures ? [] : volumeActs(view, number);
    if (volumes.length === 0) return say('There is nothing here that could be recorded.');
    volumes.forEach((act) => perform(act));
  };
  const onVessel = (make: (number: number) => Act) => () =>
    number === null ? say('Choose a vessel first.') : perform(make(number));
  const onStation = (act: Act | null, sentence: string) => (act ? perform(act) : say(sentence));
  const onSheet = (at: PaperPlace) =>
    onStation(sheet === null ? null : { kind: 'placePaper', paper: sheet, at }, 'Choose a paper first.');
  const digits = Object.fromEntries(
    sourcesOf(view).map((from, i): [string, () => void] => [String(i + 1), () => takesFrom(from)]),
  );
  const keys = useHandKeys(hands, {
    ...digits,
    r: record,
    d: () => (number === null ? say('Choose a vessel first.') : give({ amount: 'drops', from: hand.from, to: number })),
    m: () => onHand({ way: WAYS[(WAYS.indexOf(hand.way) + 1) % WAYS.length] ?? 'pipette' }),
    s: onVessel((vessel) => ({ kind: 'stir', vessel })),
    e: onVessel((vessel) => ({ kind: 'empty', vessel })),
    h: onVessel((into) => ({ kind: 'dip', tool: 'thermometer', into })),
    k: onVessel((into) => ({ kind: 'dip', tool: 'probe', into })),
    ...(labels.cell && { g: onVessel((into) => ({ kind: 'dip', tool: 'cell', into })) }),
    i: onVessel((vessel) => ({ kind: 'paper', vessel })),
    n: onVessel((vessel) => ({ kind: 'smell', vessel })),
    c: onVessel((vessel) => ({ kind: 'fillCuvette', vessel })),
    x: () => (number === null ? say('Choose a vessel first.') : give({ amount: 'portion', from: number, to: number })),
    t: () => perform({ kind: 'take', type: labels.vessels[0] ?? 'tube' }),
    ...(labels.balance && {
      b: () => onStation(weighMove(selected, view), 'Choose what is to be weighed first.'),
      z: () => perform({ kind: 'tare' }),
    }),
    ...(labels.papers.length > 0 && {
      q: onVessel((from) => ({ kind: 'filter', from })),
      o: () => onSheet('oven'),
      u: () => onSheet('funnel'),
      v: () => onSheet('desiccator'),
      a: () => onSheet('mat'),
      g: onVessel((vessel) => ({ kind: 'placeVessel', vessel, at: chosen?.at === 'plate' ? 'bench' : 'plate' })),
      j: onVessel((vessel) => ({ kind: 'placeVessel', vessel, at: chosen?.at === 'funnel' ? 'bench' : 'funnel' })),
    }),
    ...(labels.jar && { y: onVessel((to) => ({ kind: 'tip', to })) }),
    l: () => setLoupe((open) => !open),
  });
  const looked = number ?? hand.from;
  const poured = pouredWords(view, looked);

  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      scene={<Scene view={view} labels={labels} hands={hands.scene} />}
      loupe={
        loupe && (
          <LoupeFrame
            name="solutions"
            wanted={{ x: 0.86, y: 0.16 }}
            caption={
              sheet !== null
                ? nameOf(selected)
                : poured === '' || !chosen || !isOwn(chosen)
                  ? labelledName(view, looked)
                  : `${labelledName(view, looked)}: ${poured}`
            }
            reading={null}
            onClose={() => setLoupe(false)}
          >
            {sheet === null ? <CloseLook view={view} number={looked} /> : <PaperLook view={view} number={sheet} />}
          </LoupeFrame>
        )
      }
      tray={
        <Tray
          hands={hands}
          things={onTray(labels)}
          className={() => 'min-w-[84px] shrink-0'}
          drawing={(thing) => <TraySketch d={SKETCHES[thing]} />}
          heard={(thing) => heard(thing, view)}
        />
      }
      verbs={<Verbs view={view} labels={labels} hands={hands} hand={hand} onHand={onHand} closed={closed} />}
    />
  );
}
