import { z } from 'zod';
import type { Slot } from '../plan';
import { meanOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { losses } from './settings';

/** Settings, sentences and slips that the practicals of freezing share. */

/** Of a tube that hangs in air. */
export const tubeLosses = losses.meta({
  label: 'Heat is lost to the room',
  help: 'Off for a first lesson: then the tube takes and gives heat in the baths alone.',
});

export const isReady = z.boolean().default(false).meta({
  label: 'A ready series is on offer',
  help: 'For a class without time at the bench. With one press a practised hand works with the student’s own sample. Its readings and its log are in the notebook.',
});

export const READY_WORDS = [
  'At the logger you can have a ready series of your own sample, with one press.',
  'A practised hand works for you. What it read and logged is in your notebook.',
];

export const twoThermometers = z.boolean().default(false).meta({
  label: 'Two thermometers on the stand',
  help: 'Each is off by an amount of its own. Who uses one for the solvent and one for the solution measures their difference, too.',
});

export const bandsC = z
  .array(z.number().positive('A band is a number above 0.').max(20, 'A band is at most 20 °C.'))
  .min(1, 'Give at least one tolerance band.')
  .max(4, 'Give at most four tolerance bands.')
  .default([0.5, 1, 2])
  .meta({ label: 'Tolerance bands', unit: '°C', help: 'For instance 0.5, 1: within 0.5 °C, 1 °C.' });

/** Points of the curve that are taken for the crossing, as slips of a temperature in °C. */
export function curveSlips(quantity: string, slot: Slot, rows: readonly Row[], right: number | undefined) {
  const own = rows.filter(({ readings }) => readings[slot]);
  const mean = (of: (row: Row) => number | undefined) => meanOf(own, of);
  const slips = [
    { key: 'dip', label: 'The lowest point before the crystals came, in place of the crossing', value: mean((row) => row.frozen?.dipC) },
    { key: 'top', label: 'The highest point after the crystals came, in place of the crossing', value: mean((row) => row.frozen?.topC) },
    { key: 'kelvin', label: 'K for °C', value: right === undefined ? undefined : right + 273.15 },
  ]; // prettier-ignore
  return slips.flatMap(({ value, ...slip }) => (value && right ? [{ ...slip, quantity, factor: value / right }] : []));
}
