// npm test: every check there is, with what it counted and how long it took; ends with "N passed, N failed".
// npm run test:long: the same properties and statistics on whole classes and with other seeds each time; takes an hour.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ROOT, Sentence } from './lib/config.mjs';
import { ensureBuild, ensurePackages } from './lib/install.mjs';

const isLong = process.argv.includes('--long');
const counts = { passed: 0, failed: 0 };
const failures = [];
/** What each part took, s, in the order of their ends. */
const took = [];

function add(name, passed, failed, seconds) {
  counts.passed += passed;
  counts.failed += failed;
  took.push({ name, seconds });
  if (failed > 0) failures.push(`${name}: ${failed} failed`);
}

/** Runs one of the packages' programs to its end. @returns its status, and what it printed, unless that was shown */
function run(program, args, { env, isShown = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(path.join(ROOT, 'node_modules/.bin', program), args, {
      cwd: ROOT,
      stdio: isShown ? 'inherit' : ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => (printed += part));
    child.once('error', (error) => resolve({ status: 1, printed: String(error) }));
    child.once('close', (status) => resolve({ status, printed }));
  });
}

/** A check that is passed or failed as a whole. */
async function check(name, program, args) {
  const started = Date.now();
  const { status, printed } = await run(program, args);
  const seconds = (Date.now() - started) / 1000;
  console.log(`${printed}— ${name}: ${status === 0 ? 'passed' : 'FAILED'}, ${seconds.toFixed(0)} s\n`);
  add(name, status === 0 ? 1 : 0, status === 0 ? 0 : 1, seconds);
}

/** A runner that leaves a report of its tests as JSON. */
async function suite(name, program, args, report, read, env) {
  const file = path.join(ROOT, report);
  rmSync(file, { force: true });
  const started = Date.now();
  const { status } = await run(program, args, { env, isShown: true });
  const [passed, failed] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 1];
  // A runner that fails without a failed test has broken outside of one.
  const broken = status !== 0 && failed === 0 ? 1 : 0;
  const seconds = (Date.now() - started) / 1000;
  console.log(`— ${name}: ${passed} passed, ${failed + broken} failed, ${seconds.toFixed(0)} s\n`);
  add(name, passed, failed + broken, seconds);
}

/** Time that all cores of this machine have worked so far, s. */
function worked() {
  const line = existsSync('/proc/stat') ? readFileSync('/proc/stat', 'utf8').split('\n')[0] : '';
  const [user = NaN, nice = 0, system = 0, , , irq = 0, soft = 0] = (line ?? '').split(/\s+/).slice(1).map(Number);
  return (user + nice + system + irq + soft) / 100;
}

const CRUISE = ['core', 'app', 'server', '--config', '.dependency-cruiser.mjs', '--output-type', 'err'];

/** All that needs no database, two side by side. */
async function staticChecks() {
  await check('route types', 'react-router', ['typegen']);
  await Promise.all([
    check('types', 'tsc', ['--noEmit'])
      .then(() => check('circles and arrows', 'depcruise', CRUISE))
      .then(() => check('repeated code', 'jscpd', ['--config', '.jscpd.json', '--silent']))
      .then(() => check('format', 'prettier', ['--check', '--log-level', 'warn', '.'])),
    check('lint and layers', 'eslint', ['.', '--max-warnings', '0']),
  ]);
}

const vitest = (json) => [json.numPassedTests, json.numFailedTests];
const vitestArgs = (report) => ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`];

async function main() {
  ensurePackages();
  const { ensureChromium } = await import('./lib/chromium.mjs');
  ensureChromium();
  mkdirSync(path.join(ROOT, 'test-results'), { recursive: true });
  if (!isLong) await staticChecks();
  ensureBuild();
  const { freshDatabase } = await import('./lib/fresh-database.mjs');
  const database = await freshDatabase('test');
  const env = { DATABASE_URL: database.url, ...(isLong && { FEN_LONG: '1' }) };
  try {
    const report = 'test-results/unit.json';
    await suite(isLong ? 'whole classes' : 'core and server', 'vitest', vitestArgs(report), report, vitest, env);
    await suite(
      isLong ? 'long journeys' : 'browser',
      'playwright',
      ['test'],
      'test-results/browser.json',
      ({ stats }) => [stats.expected, stats.unexpected + stats.flaky],
      env,
    );
  } finally {
    await database.stop();
  }
}

const [began, workedBefore] = [Date.now(), worked()];
try {
  await main();
} catch (error) {
  console.error(error instanceof Sentence ? error.message : error);
  add('the run itself', 0, 1, 0);
}
for (const { name, seconds } of took) console.log(`${name.padEnd(20)} ${seconds.toFixed(0).padStart(5)} s`);
const [wall, cpu] = [(Date.now() - began) / 60_000, (worked() - workedBefore) / 60];
console.log(`all of it ${wall.toFixed(1)} min, ${cpu.toFixed(1)} min of work by this machine's cores`);
for (const line of failures) console.log(line);
console.log(`${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = counts.failed === 0 ? 0 : 1;
