import { useState } from 'react';
import type { Act } from '@core/practicals/solutions/acts';
import type { Plan } from '@core/practicals/solutions/plan';
import type { PaperPlace } from '@core/practicals/solutions/solids/paper';
import type { View } from '@core/practicals/solutions/view';
import { capital } from '@app/ui/capital';
import { CarryLabel } from '../bench-parts';
import type { BenchPageProps } from '../drawings';
import { LoupeFrame } from '../loupe-frame';
import { amountOf } from '../typed-amount';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { useCarry } from '../use-carry';
import { CloseLook, PaperLook } from './loupe';
import {
  enterMove,
  putMove,
  recordAbsorbance,
  recordMass,
  recordTool,
  WAYS,
  weighMove,
  type Amounts,
  type Give,
  type Hand,
  type Move,
} from './moves';
import { Scene } from './scene';
import { askedOf, pouredWords } from './tell';
import { isOwn, labelledName, isDipped, numberOf, sheetOf, sourcesOf, thingName, thingsOf, type Thing } from './things';
import { Tray } from './tray';
import { slipActs, volumeActs } from './record-acts';
import { Verbs } from './verbs';

const UNITS: Record<Give['amount'], string> = {
  drops: 'drops',
  ml: 'mL',
  portion: 'mL',
  nm: 'nm',
  wash: 'mL',
  rinse: 'mL',
  oven: '°C',
  scoop: 'g',
};
const NOT_WEIGHED = 'Nothing that is asked for is on the balance: put on what is to be weighed.';

/** The act that an amount with its vessels is. */
function actOf({ amount, from, to }: Give, value: number, way: Hand['way']): Act {
  switch (amount) {
    case 'drops':
      return { kind: 'drops', from, to, drops: value };
    case 'ml':
      return { kind: 'measure', from, to, ml: value, by: way };
    case 'portion':
      return { kind: 'slip', vessel: from, ml: value };
    case 'nm':
      return { kind: 'wavelength', nm: value };
    case 'wash':
      return { kind: 'wash', ml: value };
    case 'rinse':
      return { kind: 'rinse', from, ml: value };
    case 'oven':
      return { kind: 'setOven', tempC: value };
    case 'scoop':
      return { kind: 'scoop', g: value };
  }
}

/** The bench of solutions: the drawing, the loupe at what is selected, its verbs, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [selected, setSelected] = useState<Thing>('vessel:1');
  // Where so much stands there, it would cover what is worked with.
  const [loupe, setLoupe] = useState(labels.balance === null);
  const [hand, setHand] = useState<Hand>({ from: 1, way: 'pipette' });
  const [amounts, setAmounts] = useState<Record<Amounts, string>>({
    drops: '4',
    ml: '',
    portion: '2',
    label: '',
    nm: '',
    wash: '10',
    oven: '105',
    scoop: '1',
  });
  const nameOf = (thing: Thing) => thingName(thing, view);
  const onAmount = (name: Amounts, text: string) => setAmounts((all) => ({ ...all, [name]: text }));
  const onHand = (change: Partial<Hand>) => setHand((all) => ({ ...all, ...change }));

  const give = (what: Give) => {
    const { amount, from, to } = what;
    const read = amountOf(amounts[amount === 'rinse' ? 'wash' : amount], UNITS[amount]);
    if ('sentence' in read) return say(read.sentence);
    if ((amount === 'drops' || amount === 'ml') && from === to)
      return say('It cannot be poured into itself. Choose what it comes from.');
    bench.act(actOf(what, read.value, hand.way));
  };
  const make = (move: Move) => ('kind' in move ? bench.act(move) : give(move));
  const put = (thing: Thing, to: Thing) => {
    const move = putMove(thing, to, view, labels.measures);
    if (move === null) return say(`${capital(nameOf(thing))} and ${nameOf(to)} have nothing to do with each other.`);
    const [from, into] = [numberOf(thing), numberOf(to)];
    if (from !== null && into !== null) onHand({ from });
    make(move);
  };
  const isSource = (number: number | null): number is number => number !== null && sourcesOf(view).includes(number);
  // What is chosen is what the loupe looks at; a bottle that is taken by hand, or by Enter, is what is taken from. Passing it by arrows is neither.
  const grasp = (thing: Thing) => {
    setSelected(thing);
    const from = numberOf(thing);
    if (isSource(from)) onHand({ from });
  };
  const takesFrom = (from: number) => {
    onHand({ from });
    say(`What is put in comes from ${labelledName(view, from)}.`);
  };
  const { carry, lift, near } = useCarry<Thing>(grasp, put);
  const ask = (thing: Thing) => say(capital(`${askedOf(thing, view)}.`));
  const enter = (thing: Thing) => {
    const move = enterMove(thing, view, hand, labels.measures);
    const from = numberOf(thing);
    if (isSource(from)) takesFrom(from);
    else if (move) make(move);
    else ask(thing);
  };
  const number = numberOf(selected);
  const sheet = sheetOf(selected);
  const chosen = number === null ? undefined : view.vessels[number - 1];
  const record = () => {
    const mass = recordMass(view);
    const isWeighed = selected === 'balance' || selected === 'boat' || sheet !== null || chosen?.at === 'pan';
    if (isWeighed) return mass ? bench.act(mass) : say(NOT_WEIGHED);
    if (isDipped(selected)) return bench.act(recordTool(selected, view));
    if (selected === 'colorimeter') return bench.act(recordAbsorbance(view));
    if (selected === 'analysis') {
      const next = view.slips.findIndex(
        ({ left }, i) =>
          left !== null &&
          slipActs(view, i).length > 0 &&
          !view.readings.some((r) => r.slot === 'p' && r.trial === view.slips[i]?.trial && r.struck === null),
      );
      if (next < 0) return say('There is no slip that is not recorded yet.');
      return slipActs(view, next).forEach((act) => bench.act(act));
    }
    const volumes = number === null || !labels.measures ? [] : volumeActs(view, number);
    if (volumes.length === 0) return say('There is nothing here that could be recorded.');
    volumes.forEach((act) => bench.act(act));
  };
  const onVessel = (make: (number: number) => Act) => () =>
    number === null ? say('Choose a vessel first.') : bench.act(make(number));
  const onGear = (act: Act | null, sentence: string) => (act ? bench.act(act) : say(sentence));
  const onSheet = (at: PaperPlace) =>
    onGear(sheet === null ? null : { kind: 'placePaper', paper: sheet, at }, 'Choose a paper first.');
  const digits = Object.fromEntries(
    sourcesOf(view).map((from, i): [string, () => void] => [String(i + 1), () => takesFrom(from)]),
  );
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things: thingsOf(view, labels),
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      ...digits,
      r: record,
      d: () =>
        number === null ? say('Choose a vessel first.') : give({ amount: 'drops', from: hand.from, to: number }),
      m: () => onHand({ way: WAYS[(WAYS.indexOf(hand.way) + 1) % WAYS.length] ?? 'pipette' }),
      s: onVessel((vessel) => ({ kind: 'stir', vessel })),
      e: onVessel((vessel) => ({ kind: 'empty', vessel })),
      h: onVessel((into) => ({ kind: 'dip', tool: 'thermometer', into })),
      k: onVessel((into) => ({ kind: 'dip', tool: 'probe', into })),
      ...(labels.cell && { g: onVessel((into) => ({ kind: 'dip', tool: 'cell', into })) }),
      i: onVessel((vessel) => ({ kind: 'paper', vessel })),
      n: onVessel((vessel) => ({ kind: 'smell', vessel })),
      c: onVessel((vessel) => ({ kind: 'fillCuvette', vessel })),
      x: () =>
        number === null ? say('Choose a vessel first.') : give({ amount: 'portion', from: number, to: number }),
      t: () => bench.act({ kind: 'take', type: labels.vessels[0] ?? 'tube' }),
      ...(labels.balance && {
        b: () => onGear(weighMove(selected, view), 'Choose what is to be weighed first.'),
        z: () => bench.act({ kind: 'tare' }),
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
      p: () => clockKey(bench, view.running, say),
      w: () => ask(selected),
    },
  });
  const looked = number ?? hand.from;
  const poured = pouredWords(view, looked);

  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div
        className="[container-type:size] relative min-h-0 grow touch-none overflow-hidden"
        data-testid="bench"
        onPointerDown={near(lift)}
        onContextMenu={(event) => event.preventDefault()}
      >
        <div className="flex h-full flex-col">
          {view.task && (
            <p
              data-keep-clear
              className="border-line-strong shrink-0 border-b px-3 py-1 font-serif text-sm"
              data-testid="task"
            >
              {view.task}
            </p>
          )}
          <div className="min-h-0 grow">
            <Scene view={view} labels={labels} selected={selected} onSelect={setSelected} lift={lift} onEnter={enter} />
          </div>
        </div>
        {loupe && (
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
        )}
      </div>
      {/* Before the verbs for who goes on by Tab, under them for the eye. */}
      <Tray view={view} labels={labels} selected={selected} onSelect={setSelected} lift={lift} />
      <Verbs
        selected={selected}
        view={view}
        labels={labels}
        amounts={amounts}
        hand={hand}
        onHand={onHand}
        onAmount={onAmount}
        onAct={bench.act}
        onGive={give}
        closed={closed}
      />
      {carry && <CarryLabel carry={carry} nameOf={nameOf} />}
    </div>
  );
}
