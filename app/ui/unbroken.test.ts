import { expect, it } from 'vitest';
import { unbroken } from './unbroken';

it('keeps numbers and their units together, and lets all else break', () => {
  const breaks = (text: string) => unbroken(text).split(' ');
  expect(breaks('aluminium, 0.897 J g⁻¹ K⁻¹')).toEqual(['aluminium,', '0.897\u00a0J\u00a0g⁻¹\u00a0K⁻¹']);
  expect(breaks('c = 0.0981 mol/L, 12.4 mL')).toEqual(['c', '=', '0.0981\u00a0mol/L,', '12.4\u00a0mL']);
  expect(breaks('brass (70 % Cu)')).toEqual(['brass', '(70\u00a0%', 'Cu)']);
  expect(breaks('no number at all')).toHaveLength(4);
  expect(unbroken('')).toBe('');
});
