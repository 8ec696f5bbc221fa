import { useState } from 'react';
import type { Act } from '@core/practicals/hydrates/acts';
import type { Plan } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { BenchFrame } from '../bench-frame';
import type { BenchPageProps } from '../drawing';
import { LoupeFrame } from '../loupe-frame';
import { Tray, TraySketch } from '../tray';
import { useHandKeys, useHands } from '../use-hands';
import { Loupe } from './loupe';
import { AMOUNTS, enterMove, fireMove, nextLid, putMove, type Amount, type Grip } from './moves';
import { Scene } from './scene';
import { heard } from './tell';
import { ON_TRAY, thingName, thingsOf, type Thing } from './things';
import { Verbs } from './verbs';

const SKETCHES: Partial<Record<Thing, string>> = {
  tongs: 'M6 44 Q20 22 14 4 M30 44 Q16 22 22 4 M18 24 h1 M14 4 q4 -3 8 0',
  lighter: 'M4 40 H24 L30 30 V10 M30 10 q4 3 0 8 M6 40 V32 H22 V40 M34 6 l3 -3 M36 11 h4',
  jar: 'M4 14 V44 H36 V14 M2 6 H38 V14 H2 Z M4 30 Q16 22 36 28',
  fresh: 'M6 12 Q8 38 14 42 H26 Q32 38 34 12 Z M4 12 Q10 6 18 6 Q18 2 20 2 Q22 2 22 6 Q30 6 36 12',
};

/** The bench of hydrates: the drawing, the loupe into the crucible, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [loupe, setLoupe] = useState(true);
  const [grip, setGrip] = useState<Grip>('hand');
  const changeGrip = (next: Grip): undefined => {
    setGrip(next);
    say(next === 'tongs' ? 'The tongs are in your hand.' : 'The tongs lie on the tray.');
  };
  const otherGrip = grip === 'tongs' ? 'hand' : 'tongs';
  const hands = useHands<Thing, Amount, Act>({
    bench,
    say,
    lettersOn,
    things: thingsOf(labels),
    amounts: AMOUNTS,
    nameOf: (thing) => thingName(thing, view, labels),
    heard: (thing) => heard(thing, view, labels),
    putMove: (thing, to) =>
      thing === 'tongs' && to === 'crucible'
        ? changeGrip('tongs')
        : putMove(thing, to, thing === 'tongs' || to === 'tongs' ? 'tongs' : grip),
    enterMove: (thing) => (thing === 'tongs' ? changeGrip(otherGrip) : enterMove(thing, view, grip)),
  });
  const { act, nameOf } = hands;
  const record = () => {
    if (!view.due) return say('The crucible is not on the balance.');
    act({ kind: 'recordMass', trial: view.recordableTrial, which: view.due });
  };
  const keys = useHandKeys(hands, {
    r: record,
    m: record,
    t: () => act({ kind: 'tare' }),
    o: () => act(nextLid(view)),
    i: () => act(fireMove(view)),
    b: () => act({ kind: 'slide', under: !view.burner.isUnder }),
    g: () => changeGrip(otherGrip),
    l: () => setLoupe((open) => !open),
  });
  const isGripped = (thing: Thing) => thing === 'tongs' && grip === 'tongs';

  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      scene={<Scene view={view} labels={labels} hands={hands.scene} />}
      loupe={
        loupe && (
          <LoupeFrame
            name="hydrates"
            wanted={{ x: 0.2, y: 0.25 }}
            caption="into the crucible, from above"
            reading={null}
            onClose={() => setLoupe(false)}
          >
            <Loupe view={view} unnumbered={false} />
          </LoupeFrame>
        )
      }
      tray={
        <Tray
          hands={hands}
          things={ON_TRAY}
          drawing={(thing) => <TraySketch d={SKETCHES[thing]} />}
          name={(thing) => (isGripped(thing) ? 'tongs, in hand' : nameOf(thing))}
          heard={(thing) => (isGripped(thing) ? 'tongs, in the hand' : heard(thing, view, labels))}
        />
      }
      verbs={<Verbs view={view} labels={labels} hands={hands} grip={grip} onGrip={changeGrip} closed={closed} />}
    />
  );
}
