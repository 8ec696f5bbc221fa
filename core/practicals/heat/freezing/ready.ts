import type { Outcome } from '../../contract';
import { done, refuse } from '../../hands';
import type { HandAct } from '../hand-acts';
import type { Bench } from '../bench';
import { advance } from '../going-on/flow';
import { hasSamples } from '../plan';
import { trialNow } from '../reading/trials';
import { filledG, freezesNowC, frozenPart } from './tube';

/** A series that a practised hand takes before the lesson: the same acts at the same bench, one after the other, with their time. */

type Perform = (bench: Bench, act: HandAct) => Outcome<Bench>;

const NONE = 'Nothing has been got ready at this bench.';
const NOT_AS_AT_START =
  'The ready series begins at a bench as it was at the start: nothing in the tube, on the balance, in the boat or in the log.';
/** Warmer than it freezes, colder than that, and how much of it is frozen in the end: by the method, K and a part. */
const [ABOVE_K, BELOW_K, HALF] = [10, 16, 0.4];
const EVERY_S = { series: 5, samples: 10 };
/** How long anything is waited for at the most, s. */
const MOST_S = 3600;
/** How long a balance takes to come to rest, and the solute to dissolve, s. */
const [REST_S, DISSOLVES_S] = [3, 240];

/** Something that the bench refused on the way: it ends the series with its sentence, and nothing of it is done. */
class Refused extends Error {}

class ReadyHand {
  constructor(
    public bench: Bench,
    private readonly perform: Perform,
  ) {}

  does(...acts: HandAct[]): this {
    for (const act of acts) {
      const outcome = this.perform(this.bench, act);
      if ('refusal' in outcome) throw new Refused(outcome.refusal);
      this.bench = outcome.bench;
    }
    return this;
  }

  waits(seconds: number): this {
    this.bench = advance(this.bench, seconds);
    return this;
  }

  until(isSo: (bench: Bench) => boolean, stepS: number): this {
    for (let s = 0; s < MOST_S && !isSo(this.bench); s += stepS) this.waits(stepS);
    return this;
  }

  weighs(what: 'tube' | 'boat', which: 'm1' | 'm2' | 'm' | 'mb'): this {
    this.does({ kind: 'weigh', what, piece: 1 }).waits(REST_S);
    return this.does({ kind: 'recordMass', trial: trialNow(this.bench, which), which }, { kind: 'offPan' });
  }

  /** Where what is in the tube freezes: who prepares a lesson knows what they put in. */
  freezesC(): number {
    return this.bench.tube ? freezesNowC(this.bench, { ...this.bench.tube, frozenG: 0, frozenMol: 0 }) : NaN;
  }

  /** Jacket, stirrer and cold bath as the method has them. */
  cools(freezesC: number): this {
    const tempC = Math.max(-30, Math.min(60, Math.round(freezesC - BELOW_K)));
    this.does({ kind: 'warm', what: 'cold', tempC });
    return this.bench.tube?.jacket ? this : this.does({ kind: 'jacket', on: true });
  }

  /** Molten, and some degrees warmer than that, in a bath that is a little hotter. */
  melts(freezesC: number): this {
    const tempC = Math.min(Math.round(freezesC) + ABOVE_K + 12, 97);
    this.does({ kind: 'warm', what: 'bath', tempC }, { kind: 'tubeTo', at: 'bath' });
    return this.until(
      ({ tube }) => tube !== null && !tube.hasCrystals && tube.tempC > Math.min(freezesC + ABOVE_K, tempC - 2),
      5,
    );
  }

  freezes(): this {
    if (this.bench.tube?.stir !== 'motor') this.does({ kind: 'tubeStir', how: 'motor' });
    this.does({ kind: 'tubeTo', at: 'cold' });
    return this.until((bench) => bench.tube !== null && frozenPart(bench, bench.tube) > HALF, 10).waits(60);
  }
}

/** How much the card asks for, g: of what is melted, and of what is dissolved in it or mixed with it. */
const amounts = (task: string | null): number[] =>
  [...(task ?? '').matchAll(/about ([\d.]+) g of/g)].map(([, grams]) => Number(grams));

/** A pure one, and where the method asks for it the solution after it. */
function series(hand: ReadyHand, [grams = 12, soluteG = 0.3]: number[], isSolution: boolean): void {
  if (isSolution) hand.weighs('tube', 'm1');
  hand.does({ kind: 'charge', g: grams });
  if (isSolution) hand.weighs('tube', 'm2');
  const freezesC = hand.freezesC();
  hand.cools(freezesC).melts(freezesC).does({ kind: 'log', everyS: EVERY_S.series }).freezes();
  hand.does({ kind: 'log', everyS: 0 });
  if (!isSolution) return;
  hand.melts(freezesC).does({ kind: 'tubeTo', at: 'stand' }, { kind: 'scoop', g: soluteG });
  hand.weighs('boat', 'm').does({ kind: 'tip' }).weighs('boat', 'mb');
  hand.melts(freezesC).waits(DISSOLVES_S).does({ kind: 'log', everyS: EVERY_S.series }).freezes();
  hand.does({ kind: 'log', everyS: 0 });
}

/** Both samples by themselves, and then their mixture: each while it melts and while it freezes. */
function samples(hand: ReadyHand, [grams = 12, aG = 9, bG = 3]: number[]): void {
  const tubes: [number, number][] = [
    [grams, 0],
    [0, grams],
    [aG, bG],
  ];
  tubes.forEach(([a, b], i) => {
    if (a > 0) hand.does({ kind: 'charge', g: a, of: 1 });
    if (b > 0) hand.does({ kind: 'charge', g: b, of: 2 });
    const freezesC = hand.freezesC();
    hand.cools(freezesC).does({ kind: 'log', everyS: EVERY_S.samples }).melts(freezesC).freezes();
    hand.does({ kind: 'log', everyS: 0 });
    if (i < tubes.length - 1) hand.melts(freezesC).does({ kind: 'tubeTo', at: 'stand' }, { kind: 'emptyTube' });
  });
}

export function ready(bench: Bench, perform: Perform): Outcome<Bench> {
  const { tube, plan } = bench;
  if (!tube || !plan.tube?.isReady) return refuse(NONE);
  if (bench.logged.length > 0)
    return refuse('There is something in the log already: the ready series is for an empty one.');
  const isAsAtStart =
    filledG(tube) === 0 && tube.at === 'stand' && bench.pan.on === null && bench.boat.saltG === 0 && bench.log === null;
  if (!isAsAtStart) return refuse(NOT_AS_AT_START);
  const hand = new ReadyHand({ ...bench, paused: false }, perform);
  try {
    works(hand, bench);
  } catch (error) {
    if (error instanceof Refused) return refuse(`The series could not be taken here. ${error.message}`);
    throw error;
  }
  const minutes = Math.round((hand.bench.timeS - bench.timeS) / 60);
  return done(
    { ...hand.bench, paused: bench.paused },
    `A practised hand has worked ${minutes} minutes at this bench: what it read and logged is in your notebook.`,
  );
}

/** What the method of this practical asks for, with the amounts of its card. */
function works(hand: ReadyHand, { plan, sample, thermometers }: Bench): void {
  if (!thermometers.some(({ at }) => at === 'tube')) hand.does({ kind: 'thermometer', n: 1, at: 'tube' });
  const of = amounts(sample.task);
  if (hasSamples(plan)) samples(hand, of);
  else series(hand, of, plan.tube?.isSolution ?? false);
}
