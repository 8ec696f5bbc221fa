import { daleChall } from 'dale-chall';

/**
 * Words that a reader of fifteen is expected to know: the three thousand of Dale and Chall, as British schools spell them,
 * and what pupils of chemistry and of any school bench have met by then.
 */

// prettier-ignore
const BEYOND = `
  acid afloat afresh ajar alight aluminium anew area atom assignment average axis balance beyond blown blur bond briskly brief brine browser burnt burner
  calculation centimetre chance character chemical claim class coarse code cling clung collect collected colon colour coloured colourless coil common compare concentrated conduct conical
  constant contain correction cube cursor curve cylinder current damp data decimal degree delete deliver depart deviation diagram differ dialog digit digital disc display
  dispenser distance dropper draught drawn edge electric enclosed energy engraved equation error estimate evidence exact expand experiment factor fallen
  fibre filter firm fitting fizz flare flask flown focus force formula frozen fuel fuse gap gently gentle glassware gram graph grid grew grey grown growth graduated halve hand heading hundredth
  inwards instance instrument kilogram lab label labelled laboratory lag lens limit liquid litre logbook lower main mark mass material max measurement melt
  method millilitre millimetre millionth min minus mist mistaken mixture molten motion multiple neutral neutralise notebook offcut onto option outwards
  overload percent piece plot positive practise practised precision predict press prevent proportion puff quantity random range reckon regular reload react
  rest result rinse risen rivet rub scale series shown signal size sketch snapshot solid somewhat span spat spatula spilt spread spreadsheet stage steady step
  stir stopper strength strike stroke struck student subject success suffice support surroundings sum swap swirl switch symbol tab temperature tenth text theory
  thermometer thousandth tilt tile triangle tube type typed unit unlabelled unlit upright usual valve version volume warmth waver weight whatever
  wherever whether whiten whole widen width within workshop yourself themselves zero
  carboy curd descaler dispensary droppers harbour lighthouse museum offset porcelain reel residue rod sallow stomach syrup wash washing workbench
`;

export const COMMON: ReadonlySet<string> = new Set([
  ...daleChall.map((word) => word.toLowerCase()),
  ...BEYOND.trim().split(/\s+/),
]);

/** How an ending makes a word out of another. */
const ENDINGS: readonly (readonly [ending: string, instead: string])[] = [
  ['s', ''],
  ['es', ''],
  ['ies', 'y'],
  ['ed', ''],
  ['ed', 'e'],
  ['ied', 'y'],
  ['ing', ''],
  ['ing', 'e'],
  ['er', ''],
  ['er', 'e'],
  ['ier', 'y'],
  ['est', ''],
  ['est', 'e'],
  ['iest', 'y'],
  ['ly', ''],
  ['ily', 'y'],
  ['ness', ''],
  ['less', ''],
];

/** A word and what it can be made of. */
function* formsOf(word: string): Generator<string> {
  yield word;
  for (const [ending, instead] of ENDINGS)
    if (word.endsWith(ending) && word.length > ending.length + 1) {
      const stem = word.slice(0, -ending.length) + instead;
      yield stem;
      if (/([a-z])\1$/.test(stem)) yield stem.slice(0, -1);
    }
  if (word.startsWith('un')) yield* formsOf(word.slice(2));
}

/** Whether a word, in whatever form it stands, is among some. */
export const isAmong = (words: ReadonlySet<string>, word: string): boolean =>
  [...formsOf(word.toLowerCase().replace(/’(?:s|t|ll|re)$|[’']$/, ''))].some((form) => words.has(form));
