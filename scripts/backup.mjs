// npm run backup -- <file>: all of Fen's data in one file, also while Fen is running.
import { spawnSync } from 'node:child_process';
import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { Sentence } from './lib/config.mjs';
import { programOf } from './lib/postgres.mjs';
import { withServer } from './lib/with-server.mjs';

await withServer(async (url) => {
  const [file] = process.argv.slice(2);
  if (!file) throw new Sentence('Say where to: npm run backup -- fen-monday.dump');
  if (existsSync(file)) throw new Sentence(`There is a file ${file} already. It was left as it is.`);
  const part = `${file}.part`;
  const dumped = spawnSync(
    programOf('pg_dump'),
    ['--format=custom', '--no-owner', '--no-privileges', `--file=${part}`, `--dbname=${url}`],
    { stdio: ['ignore', 'inherit', 'inherit'] },
  );
  if (dumped.status !== 0) {
    rmSync(part, { force: true });
    throw new Sentence('The backup could not be made; what went wrong is printed above.');
  }
  renameSync(part, file);
  console.log(
    `All of it is in ${file}, ${Math.ceil(statSync(file).size / 1024)} kB. Keep it where this machine is not.`,
  );
});
