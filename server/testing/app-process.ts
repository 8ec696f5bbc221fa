import { spawn, type ChildProcess } from 'node:child_process';
import net from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = net.createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** The built app as a process of its own, as npm start runs it. */
export interface AppProcess {
  base: string;
  /** Its process, for whoever measures it. */
  pid(): number;
  /** Ends it without a word, as a power cut would, and starts it again on the same port. */
  killAndRestart(): Promise<void>;
  stop(): Promise<void>;
}

function launch(port: number, databaseUrl: string): Promise<ChildProcess> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['scripts/serve.mjs'], {
      cwd: ROOT,
      env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', DATABASE_URL: databaseUrl },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    child.once('message', () => resolve(child));
    child.once('exit', (code) => reject(new Error(`the app ended with ${code}; was it built?`)));
  });
}

export async function startApp(databaseUrl: string): Promise<AppProcess> {
  const port = await freePort();
  let child = await launch(port, databaseUrl);
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill(signal);
    });
  return {
    base: `http://127.0.0.1:${port}`,
    pid: () => child.pid ?? 0,
    killAndRestart: async () => {
      await end('SIGKILL');
      child = await launch(port, databaseUrl);
    },
    stop: () => end('SIGTERM'),
  };
}
