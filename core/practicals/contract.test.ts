import { expect, it } from 'vitest';
import { PRACTICALS } from './registry';

it('is tried of every family, each in a file of its own, so that they run side by side', () => {
  const families = Object.values(PRACTICALS).map((practical) => practical.labels(practical.setup.parse({})).family);
  const files = Object.keys(import.meta.glob('./*/contract.test.ts')).map((file) => file.split('/')[1]);
  expect(files.sort()).toEqual([...new Set(families)].sort());
});
