// Runs a command with DATABASE_URL on a fresh database of its own: node scripts/with-database.mjs <name> <command…>
import { spawn } from 'node:child_process';
import path from 'node:path';
import { ROOT, Sentence } from './lib/config.mjs';
import { ensureBuild, ensurePackages } from './lib/install.mjs';

const [name = 'test', ...command] = process.argv.slice(2);

async function main() {
  ensurePackages();
  ensureBuild();
  const { freshDatabase } = await import('./lib/fresh-database.mjs');
  const database = await freshDatabase(name);
  const env = { ...process.env, DATABASE_URL: database.url };
  const [program, ...args] = command.at(0)?.endsWith('.ts') ? ['tsx', ...command] : command;
  const child = spawn(path.join(ROOT, 'node_modules/.bin', program), args, {
    cwd: ROOT,
    env,
    stdio: 'inherit',
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  const code = await new Promise((resolve) => child.once('exit', resolve));
  await database.stop();
  process.exitCode = code ?? 1;
}

main().catch((error) => {
  console.error(error instanceof Sentence ? error.message : error);
  process.exitCode = 1;
});
