import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dateIn, datesIn, typedDate } from './dates';

const ZONES = ['UTC', 'Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata', 'Pacific/Auckland'];

describe('dates as typed', () => {
  it.each([
    ['2026-01-15T08:00', 'Europe/Berlin', '2026-01-15T07:00:00.000Z'],
    ['2026-07-15T08:00', 'Europe/Berlin', '2026-07-15T06:00:00.000Z'],
    // The evening before and the evening after clocks go forward.
    ['2026-03-28T23:59', 'Europe/Berlin', '2026-03-28T22:59:00.000Z'],
    ['2026-03-29T23:59', 'Europe/Berlin', '2026-03-29T21:59:00.000Z'],
    ['2026-10-25T23:59', 'Europe/Berlin', '2026-10-25T22:59:00.000Z'],
    ['2026-11-01T12:00', 'America/New_York', '2026-11-01T17:00:00.000Z'],
    ['2026-06-01T00:00', 'Asia/Kolkata', '2026-05-31T18:30:00.000Z'],
  ])('%s by the clock of %s', (text, zone, expected) => {
    expect(dateIn(text, zone)?.toISOString()).toBe(expected);
  });

  it.each(['soon', '2026-02-30T10:00', '2026-13-01T10:00', '2026-01-01', '2026-01-01T10:00:00Z', '٢٠٢٦-٠١-٠١T١٠:٠٠'])(
    '“%s” is no date',
    (text) => {
      expect(dateIn(text, 'UTC')).toBeUndefined();
    },
  );

  it('stand in the field again as they were typed, in any zone, but for the hour that clocks leave out', () => {
    const minute = fc.integer({ min: Date.UTC(2024, 0, 1) / 60_000, max: Date.UTC(2039, 0, 1) / 60_000 });
    fc.assert(
      fc.property(minute, fc.constantFrom(...ZONES), (at, zone) => {
        const text = typedDate(new Date(at * 60_000), zone);
        const back = dateIn(text, zone);
        expect(back).toBeInstanceOf(Date);
        expect(typedDate(back as Date, zone)).toBe(text);
      }),
    );
    expect([dateIn('', 'UTC'), typedDate(null, 'UTC')]).toEqual([null, '']);
  });

  it('get a sentence each where they are wrong, and where one comes before the other', () => {
    const form = (opensAt: string, closesAt: string) => {
      const data = new FormData();
      data.set('opensAt', opensAt);
      data.set('closesAt', closesAt);
      return Object.keys(datesIn(data, 'UTC', new Date('2026-05-01T00:00Z')).mistakes);
    };
    expect(form('', '')).toEqual([]);
    expect(form('x', 'y')).toEqual(['opensAt', 'closesAt']);
    expect(form('2026-06-02T10:00', '2026-06-01T10:00')).toEqual(['closesAt']);
    expect(form('2026-06-01T10:00', '2026-06-01T10:00')).toEqual(['closesAt']);
    expect(form('', '2026-04-01T10:00')).toEqual(['closesAt']);
    expect(form('', '2026-06-01T10:00')).toEqual([]);
  });
});
