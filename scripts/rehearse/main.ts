import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { rehearse } from './rehearse';

const file = process.argv[2];
try {
  if (!file) throw new Error('Name a file: npm run rehearse -- scripts/rehearse/example.json');
  console.log(JSON.stringify(rehearse(JSON.parse(readFileSync(file, 'utf8'))), null, 2));
} catch (error) {
  console.error(error instanceof z.ZodError ? z.prettifyError(error) : (error as Error).message);
  process.exitCode = 1;
}
