import { heatVesselOf, SEALED_VESSEL } from '../../../databook/heat-vessels';
import { fuseWireOf, wireJPerCm } from '../../../databook/combustion';
import type { Outcome } from '../../contract';
import { done, handChance, isAmount, refuse } from '../../hands';
import { shownReading, withRecorded } from '../../recordings';
import { aboutNow } from '../about';
import { combined, TAKES_S } from '../act-parts';
import type { Bench } from '../bench';
import { advance } from '../going-on/flow';
import { type LENGTH_SLOTS, SLOTS } from '../plan';
import type { STUFFS, Sealed } from '../bodies';
import { oxygenMol, pelletHeat, stuffOf } from './sealed';
import { portionOf, trialNow } from '../reading/trials';
import { begunAnew, cupsAfter } from '../mixing/vessel-acts';

/** What is done with pellets, wire, oxygen and the vessel that they burn in. */

const NONE = 'There is no sealed vessel at this bench.';
const CLOSED = 'The vessel is closed. Open it first.';
const SUNK = 'The vessel is under water. Lift it out first.';
const PELLET_G = [0.1, 1.2] as const;
const WIRE_CM = [2, 20] as const;
/** How closely a spatula and a press give what is wanted, as a part of it; and scissors a length, cm. */
const PRESS = 0.04;
const CUT_CM = 0.04;
/** The valve of the bottle lets in no less than this, bar. */
const LEAST_BAR = 1;
/** What of a wire is left at its ends when it has burnt: a part of it. */
const LEFT = [0.12, 0.4] as const;

/** What the hand makes of something that is weighed or measured afterwards: it moves no result, so nothing switches it off. */
function made(bench: Bench, deviation: number): { error: number; bench: Bench } {
  const drawn = handChance(bench);
  return { error: Math.max(-3, Math.min(3, drawn.source.normal())) * deviation, bench: drawn.bench };
}

const withSealed = (bench: Bench, change: Partial<Sealed>): Bench => ({
  ...bench,
  sealed: bench.sealed && { ...bench.sealed, ...change },
});

/** Why the inside of the vessel cannot be got at; null when it can. */
const shut = ({ isOpen, at }: Sealed): string | null => (at === 'pail' ? SUNK : isOpen ? null : CLOSED);

export function press(bench: Bench, { of, g }: { of: (typeof STUFFS)[number]; g: number }): Outcome<Bench> {
  if (!bench.sealed) return refuse(NONE);
  if (bench.pellet) return refuse('There is a pellet already. Burn it, or throw it away, before you press another.');
  const [least, most] = PELLET_G;
  if (!isAmount(g, least, most))
    return refuse(`Press between ${least} and ${most} g: less tells little, and more the vessel may not stand.`);
  const hand = made(bench, PRESS);
  const really = g * (1 + hand.error);
  const now: Bench = { ...hand.bench, pellet: { of, g: really, at: 'dish' }, pressedG: bench.pressedG + really };
  return done(advance(now, 2 * TAKES_S.carry));
}

/** The pellet that is there goes to waste. */
const withoutPellet = (bench: Bench): Bench => ({
  ...bench,
  pellet: null,
  pelletGoneG: bench.pelletGoneG + (bench.pellet?.g ?? 0),
  pan: bench.pan.on === 'pellet' ? { ...bench.pan, on: null } : bench.pan,
});

export function discard(bench: Bench): Outcome<Bench> {
  if (!bench.pellet) return refuse('There is no pellet to throw away.');
  if (bench.pellet.at === 'vessel') {
    const why = bench.sealed && shut(bench.sealed);
    if (why) return refuse(why);
  }
  return done(withoutPellet(bench));
}

/** The pellet into the dish of the open vessel, or back out of it. */
export function place(bench: Bench, { to }: { to: 'dish' | 'vessel' }): Outcome<Bench> {
  const { sealed, pellet, pan } = bench;
  if (!sealed) return refuse(NONE);
  if (!pellet) return refuse('There is no pellet yet. Press one first.');
  if (pellet.at === to) return refuse(to === 'vessel' ? 'It lies in the vessel already.' : 'It lies there already.');
  const why = shut(sealed);
  if (why && (to === 'vessel' || pellet.at === 'vessel')) return refuse(why);
  const now = {
    ...bench,
    pellet: { ...pellet, at: to },
    pan: pan.on === 'pellet' ? { ...pan, on: null } : pan,
  };
  // Whatever lay on it lies there no more.
  const loose = withSealed(now, { wire: sealed.wire === 'touching' ? 'straight' : sealed.wire });
  const note = to === 'vessel' && sealed.soot ? 'What did not burn the last time still lies there.' : undefined;
  return done(advance(loose, TAKES_S.carry), note);
}

export function wire(bench: Bench, { cm }: { cm: number }): Outcome<Bench> {
  const { sealed } = bench;
  if (!sealed) return refuse(NONE);
  const why = shut(sealed);
  if (why) return refuse(why);
  if (sealed.wire === 'burnt') return refuse('Ends of the old wire are still there. Clean the vessel first.');
  const [least, most] = WIRE_CM;
  if (!isAmount(cm, least, most)) return refuse(`Cut between ${least} and ${most} cm of the wire.`);
  const hand = made(bench, CUT_CM);
  const now = withSealed(hand.bench, { wire: 'straight', wireCm: cm + hand.error, leftCm: 0 });
  return done(
    advance(now, TAKES_S.carry),
    sealed.wire === 'none' ? undefined : 'The wire that was there is thrown away.',
  );
}

export function bend(bench: Bench): Outcome<Bench> {
  const { sealed, pellet } = bench;
  if (!sealed) return refuse(NONE);
  const why = shut(sealed);
  if (why) return refuse(why);
  if (sealed.wire === 'none' || sealed.wire === 'burnt')
    return refuse('There is no wire between the posts. Put one in first.');
  if (pellet?.at !== 'vessel') return refuse('There is no pellet that it could touch.');
  if (sealed.wire === 'touching') return refuse('The wire touches the pellet already.');
  return done(advance(withSealed(bench, { wire: 'touching' }), TAKES_S.carry));
}

export function seal(bench: Bench, { closed }: { closed: boolean }): Outcome<Bench> {
  const { sealed } = bench;
  if (!sealed) return refuse(NONE);
  if (sealed.at === 'pail') return refuse(SUNK);
  if (sealed.isOpen !== closed) return refuse(closed ? 'The vessel is closed already.' : 'The vessel is open already.');
  if (closed) return done(advance(withSealed(bench, { isOpen: false }), TAKES_S.carry));
  if (sealed.gaugeBar > 0) return refuse('It is under pressure. Let the gas out first.');
  // With it what was fired is over: the next one begins.
  const isFired = bench.mixedS !== null && bench.burntIn === bench.cups;
  const open = withSealed(isFired ? begunAnew(bench, cupsAfter(bench)) : bench, { isOpen: true });
  return done(
    advance(open, TAKES_S.carry),
    sealed.isFlooded ? 'Water runs out of it.' : sealed.soot ? 'There is soot in it: not all has burnt.' : undefined,
  );
}

export function fill(bench: Bench, { bar }: { bar: number }): Outcome<Bench> {
  const { sealed } = bench;
  if (!sealed) return refuse(NONE);
  const { mostBar } = SEALED_VESSEL;
  if (!isAmount(bar, LEAST_BAR, mostBar)) return refuse(`The valve lets in between ${LEAST_BAR} and ${mostBar} bar.`);
  if (sealed.at === 'pail') return refuse(SUNK);
  if (sealed.isOpen) return done(advance(bench, TAKES_S.carry), 'The vessel is open: the oxygen streams away.');
  if (sealed.gaugeBar >= bar) return refuse('There is as much pressure in it already. Let gas out first.');
  return done(advance(withSealed(bench, { gaugeBar: bar }), 3 * TAKES_S.carry));
}

export function vent(bench: Bench): Outcome<Bench> {
  const { sealed } = bench;
  if (!sealed) return refuse(NONE);
  if (sealed.at === 'pail') return refuse(SUNK);
  if (sealed.gaugeBar === 0) return refuse('It is not under pressure.');
  return done(advance(withSealed(bench, { gaugeBar: 0 }), TAKES_S.carry));
}

export function sink(bench: Bench, { to }: { to: 'pail' | 'stand' }): Outcome<Bench> {
  const { sealed, vessels, pan } = bench;
  if (!sealed) return refuse(NONE);
  if (sealed.at === to) return refuse(to === 'pail' ? 'It stands in the pail already.' : 'It is on its stand already.');
  const { cup } = vessels;
  if (to === 'stand') return done(advance(withSealed(bench, { at: 'stand' }), TAKES_S.carry));
  if (pan.on === 'cup') return refuse('The pail is on the balance. Take it off first.');
  if (cup.lid) return refuse('The lid is on the pail. Take it off first.');
  if (cup.liquid.volumeMl + SEALED_VESSEL.displacesMl > heatVesselOf(cup.type).brimMl)
    return refuse('The pail would run over. Pour some of the water away first.');
  const floods = sealed.isOpen && cup.liquid.volumeMl > 0;
  const now = withSealed(bench, { at: 'pail', isFlooded: sealed.isFlooded || floods });
  const note = floods
    ? 'The vessel is open: water runs in.'
    : cup.liquid.volumeMl < SEALED_VESSEL.coveredFromMl
      ? 'The water does not cover it.'
      : undefined;
  return done(advance(now, TAKES_S.carry), note);
}

/** What is left of a wire that burnt through. */
function burntThrough(bench: Bench, sealed: Sealed): { bench: Bench; leftCm: number } {
  const [least, most] = LEFT;
  const hand = made(bench, 1);
  const part = (least + most) / 2 + ((most - least) / 6) * Math.max(-3, Math.min(3, hand.error));
  return { bench: hand.bench, leftCm: sealed.wireCm * part };
}

/** The current through the wire: what it touches burns, if there is oxygen for it. */
export function fire(bench: Bench): Outcome<Bench> {
  const { sealed, pellet, plan, off } = bench;
  if (!sealed || !plan.sealed) return refuse(NONE);
  if (sealed.at !== 'pail')
    return refuse('It is fired under water alone: the leads reach it only in the pail, for safety.');
  if (sealed.wire === 'none' || sealed.wire === 'burnt' || sealed.isFlooded || sealed.isOpen)
    return done(advance(bench, 1), 'The lamp of the firing switch stays dark: no current flows.');
  const burnt = burntThrough(bench, sealed);
  const burntCm = sealed.wireCm - burnt.leftCm;
  const { gaugeBar } = sealed;
  // A wire alone finds oxygen enough where a pellet does not.
  const wireJ = gaugeBar > 0 ? burntCm * wireJPerCm(fuseWireOf(plan.sealed.wireId)) : 0;
  const lit = sealed.wire === 'touching' && pellet?.at === 'vessel' ? pellet : null;
  const oxygen = off.includes('burning') ? Infinity : oxygenMol(sealed);
  const heat = lit ? pelletHeat(stuffOf(bench, lit.of), lit.g, oxygen) : { joules: 0, part: 1 };
  const lateJ = sealed.lateJ + wireJ + heat.joules;
  const now = withSealed(lit ? withoutPellet(burnt.bench) : burnt.bench, {
    wire: 'burnt',
    leftCm: burnt.leftCm,
    soot: sealed.soot || heat.part < 1,
    lateJ,
  });
  return done(
    advance(
      {
        ...combined(now),
        goneJ: now.goneJ - wireJ - heat.joules,
        burnt: { of: lit?.of ?? 'unknown', g: lit?.g ?? 0, wireCm: burntCm },
        burntIn: bench.cups,
      },
      1,
    ),
    'The lamp of the firing switch glows and goes out: the wire has burnt through.',
  );
}

/** Wiped out: the ends of the wire, soot, water and what lies there go. */
export function clean(bench: Bench): Outcome<Bench> {
  const { sealed, pellet } = bench;
  if (!sealed) return refuse(NONE);
  const why = shut(sealed);
  if (why) return refuse(why);
  const isBare = sealed.wire === 'none' && !sealed.soot && !sealed.isFlooded && pellet?.at !== 'vessel';
  if (isBare) return refuse('It is clean and empty already.');
  const now = pellet?.at === 'vessel' ? withoutPellet(bench) : bench;
  return done(
    advance(withSealed(now, { wire: 'none', wireCm: 0, leftCm: 0, soot: false, isFlooded: false }), 2 * TAKES_S.carry),
  );
}

/** A length of wire as a rule of millimetres says: before it is put in, or what is left of it. */
export function recordLength(
  bench: Bench,
  { trial, which }: { trial: number; which: (typeof LENGTH_SLOTS)[number] },
): Outcome<Bench> {
  const { sealed } = bench;
  if (!sealed || !bench.plan.slots.includes(which)) return refuse(`The ${SLOTS[which].label} is not read here.`);
  const last = trialNow(bench, which);
  if (trial > last) return refuse(`Trial ${last} comes before trial ${trial}.`);
  if (which === 'L1' && (sealed.wire === 'none' || sealed.wire === 'burnt'))
    return refuse('No wire is ready that could be measured. Cut one first.');
  if (which === 'L2') {
    if (sealed.wire !== 'burnt') return refuse('No wire has burnt yet.');
    const why = shut(sealed);
    if (why) return refuse(`What is left of the wire is in the vessel. ${why}`);
  }
  const cm = which === 'L1' ? sealed.wireCm : sealed.leftCm;
  const entry = {
    ...shownReading(bench, { trial, which }, cm.toFixed(1), cm),
    instrument: 'rule',
    cup: portionOf(bench, which),
    about: aboutNow(bench),
  };
  return done(withRecorded(bench, entry));
}
