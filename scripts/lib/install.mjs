import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT, Sentence } from './config.mjs';

/** Runs a command to its end, showing what it prints. @returns whether it succeeded */
function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  return result.status === 0;
}

const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name);
/** Runs a command that came with the project's packages. */
export const runLocal = (name, args, options) => run(bin(name), args, options);

/** Packages of the lock file, installed when missing, half-installed or out of date. */
export function ensurePackages() {
  const stamp = path.join(ROOT, 'node_modules', '.fen-installed');
  const lock = readFileSync(path.join(ROOT, 'package-lock.json'), 'utf8');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages…');
  if (!run('npm', ['ci', '--include=dev', '--loglevel=error'])) {
    throw new Sentence(
      'The packages could not be installed. Connect to the network once and run the same command again.',
    );
  }
  writeFileSync(stamp, lock);
}

/** A Debian package, installed when its program is missing and we may; otherwise a sentence. */
export function ensureDebianPackage(packageName, isThere) {
  if (isThere()) return;
  const isRoot = process.getuid?.() === 0;
  if (isRoot && existsSync('/usr/bin/apt-get')) {
    console.log(`Installing ${packageName}…`);
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    const install = () => run('apt-get', ['install', '-y', '--no-install-recommends', packageName], { env });
    const done = install() || (run('apt-get', ['update'], { env }) && install());
    if (done && isThere()) return;
    throw new Sentence(
      `${packageName} could not be installed. Connect to the network, or run: apt-get install ${packageName}`,
    );
  }
  throw new Sentence(`Fen needs ${packageName}. Install it with: sudo apt-get install ${packageName}`);
}

function newest(folder, skip) {
  let latest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (skip.has(entry.name) || entry.name.endsWith('.test.ts')) continue;
    const full = path.join(folder, entry.name);
    latest = Math.max(latest, entry.isDirectory() ? newest(full, skip) : statSync(full).mtimeMs);
  }
  return latest;
}

/** Builds the app when its source is newer than the last whole build. */
export function ensureBuild() {
  const stamp = path.join(ROOT, 'build', '.fen-built');
  const folders = ['app', 'core', 'server', 'public'].map((name) => path.join(ROOT, name)).filter(existsSync);
  const files = ['package-lock.json', 'vite.config.ts', 'react-router.config.ts', 'tsconfig.json'];
  const changed = Math.max(
    ...folders.map((folder) => newest(folder, new Set())),
    ...files.map((file) => statSync(path.join(ROOT, file)).mtimeMs),
  );
  if (existsSync(stamp) && statSync(stamp).mtimeMs > changed) return;
  console.log('Building…');
  // Whoever asks: a build of a test's surroundings would carry React's checks.
  const env = { ...process.env, NODE_ENV: 'production' };
  if (!runLocal('react-router', ['build'], { env, stdio: ['ignore', 'ignore', 'inherit'] })) {
    throw new Sentence('The build failed; what went wrong is printed above.');
  }
  writeFileSync(stamp, '');
}
