// npm run rehearse -- FILE.json: a practical without the interface. Prints views, readings and the check as JSON.
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ROOT, Sentence } from './lib/config.mjs';
import { ensurePackages } from './lib/install.mjs';

try {
  ensurePackages();
  const tsx = path.join(ROOT, 'node_modules/.bin/tsx');
  const script = path.join(ROOT, 'scripts/rehearse/main.ts');
  process.exitCode = spawnSync(tsx, [script, ...process.argv.slice(2)], { stdio: 'inherit' }).status ?? 1;
} catch (error) {
  console.error(error instanceof Sentence ? error.message : error);
  process.exitCode = 1;
}
