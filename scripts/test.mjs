// npm test: every check there is, each on its own, with what it counted; ends with "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ROOT, Sentence } from './lib/config.mjs';
import { ensureBuild, ensurePackages } from './lib/install.mjs';

const counts = { passed: 0, failed: 0 };
const failures = [];

function add(name, passed, failed) {
  counts.passed += passed;
  counts.failed += failed;
  if (failed > 0) failures.push(`${name}: ${failed} failed`);
}

/** A check that is passed or failed as a whole. */
function check(name, program, args) {
  const started = Date.now();
  const result = spawnSync(path.join(ROOT, 'node_modules/.bin', program), args, {
    cwd: ROOT,
    stdio: 'inherit',
  });
  console.log(
    `— ${name}: ${result.status === 0 ? 'passed' : 'FAILED'}, ${((Date.now() - started) / 1000).toFixed(0)} s\n`,
  );
  add(name, result.status === 0 ? 1 : 0, result.status === 0 ? 0 : 1);
}

/** A runner that leaves a report of its tests as JSON. */
function suite(name, program, args, report, read, env) {
  const file = path.join(ROOT, report);
  rmSync(file, { force: true });
  const started = Date.now();
  const result = spawnSync(path.join(ROOT, 'node_modules/.bin', program), args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  const [passed, failed] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 1];
  // A runner that fails without a failed test has broken outside of one.
  const broken = result.status !== 0 && failed === 0 ? 1 : 0;
  console.log(
    `— ${name}: ${passed} passed, ${failed + broken} failed, ${((Date.now() - started) / 1000).toFixed(0)} s\n`,
  );
  add(name, passed, failed + broken);
}

async function main() {
  ensurePackages();
  const { ensureChromium } = await import('./lib/chromium.mjs');
  ensureChromium();
  mkdirSync(path.join(ROOT, 'test-results'), { recursive: true });
  check('route types', 'react-router', ['typegen']);
  check('types', 'tsc', ['--noEmit']);
  check('lint and layers', 'eslint', ['.', '--max-warnings', '0']);
  check('format', 'prettier', ['--check', '--log-level', 'warn', '.']);
  ensureBuild();
  const { freshDatabase } = await import('./lib/fresh-database.mjs');
  const database = await freshDatabase('test');
  const env = { DATABASE_URL: database.url };
  try {
    const vitest = ['run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'];
    suite(
      'core and server',
      'vitest',
      vitest,
      'test-results/unit.json',
      (json) => [json.numPassedTests, json.numFailedTests],
      env,
    );
    suite(
      'browser',
      'playwright',
      ['test'],
      'test-results/browser.json',
      ({ stats }) => [stats.expected + stats.flaky, stats.unexpected],
      env,
    );
  } finally {
    await database.stop();
  }
}

try {
  await main();
} catch (error) {
  console.error(error instanceof Sentence ? error.message : error);
  add('the run itself', 0, 1);
}
for (const line of failures) console.log(line);
console.log(`${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = counts.failed === 0 ? 0 : 1;
