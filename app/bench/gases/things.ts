import type { Plan } from '@core/practicals/gases/plan';

/** Everything on the bench and the tray that can be taken, pressed or looked at. */
export type Thing =
  | 'plunger'
  | 'tube'
  | 'gauge'
  | 'barometer'
  | 'room'
  | 'bulb'
  | 'bath'
  | 'thermometer'
  | 'plate'
  | 'jar'
  | 'ice'
  | 'injector'
  | 'balance'
  | 'bottle'
  | 'gastube'
  | 'ruler'
  | 'strip'
  | 'roll'
  | 'fresh'
  | `syringe:${number}`;

export const syringeThing = (place: number): Thing => `syringe:${place + 1}`;
/** The place of a syringe, from 0; null of other things. */
export function placeOf(thing: Thing): number | null {
  if (thing === 'plunger' || thing === 'gastube') return 0;
  return thing.startsWith('syringe:') ? Number(thing.slice(8)) - 1 : null;
}

/** Everything, in the order in which arrows go from one to the next. */
export function thingsOf({ gear, syringes }: Plan): Thing[] {
  switch (gear) {
    case 'syringe':
      return ['gauge', 'tube', 'plunger', 'barometer', 'room'];
    case 'bulb':
      return ['bulb', 'tube', 'gauge', 'bath', 'thermometer', 'plate', 'jar', 'barometer', 'room', 'ice'];
    case 'injected':
      return ['injector', 'balance', 'syringe:1', 'bath', 'thermometer', 'plate', 'barometer', 'room', 'bottle', 'ice'];
    case 'collected':
      return ['gastube', 'ruler', 'strip', 'balance', 'thermometer', 'barometer', 'roll', 'fresh'];
    case 'syringes':
      return [
        ...syringes.map((_, place) => syringeThing(place)),
        'bath',
        'thermometer',
        'plate',
        'barometer',
        'room',
        'ice',
      ];
  }
}

const TRAYS: Record<Plan['gear'], Thing[]> = {
  syringe: [],
  bulb: ['ice'],
  syringes: ['ice'],
  injected: ['bottle', 'ice'],
  collected: ['roll', 'fresh'],
};

/** What lies on the tray: what is brought to the bath, injected, or dissolved. */
export const onTray = ({ gear }: Plan): Thing[] => TRAYS[gear];

const NAMES: Record<Exclude<Thing, `syringe:${number}`>, string> = {
  plunger: 'syringe',
  tube: 'tube',
  gauge: 'gauge',
  barometer: 'barometer',
  room: 'thermometer of the room',
  bulb: 'glass bulb',
  bath: 'water bath',
  thermometer: 'thermometer in the bath',
  plate: 'hot plate',
  jar: 'cold jar',
  ice: 'ice',
  injector: 'injector',
  balance: 'balance',
  bottle: 'bottle without a label',
  gastube: 'gas tube',
  ruler: 'ruler',
  strip: 'strip of metal',
  roll: 'roll of metal',
  fresh: 'fresh gas tube',
};

export function thingName(thing: Thing, { gear, syringes }: Plan): string {
  const place = placeOf(thing);
  if (gear === 'injected' && place !== null) return 'syringe in the bath';
  if (place !== null && thing.startsWith('syringe:')) return `syringe ${syringes[place] ?? place + 1}`;
  const name =
    gear === 'collected' && thing === 'thermometer' ? 'thermometer in the water' : NAMES[thing as keyof typeof NAMES];
  return thing === 'tube' && gear === 'syringe' ? 'tube of the coil' : name;
}
