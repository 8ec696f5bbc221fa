import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { practicalsPage } from './page';

it('says of every practical what it is, what is found out and what is chosen, and stands in the docs', () => {
  const page = practicalsPage();
  const kept = readFileSync(new URL('../../docs/practicals.md', import.meta.url), 'utf8');
  expect(kept, 'Write it anew: npm run practicals').toBe(page);
  const entries = page.split('\n').filter((line) => line.startsWith('**'));
  expect(entries.length).toBe(Object.keys(PRACTICALS).length);
  expect(page).not.toMatch(/found out: $|chooses: $/m);
});
