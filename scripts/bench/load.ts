import http from 'node:http';

interface LoadResult {
  perSecond: number;
  p95Ms: number;
  errors: number;
}

/** One post on a kept connection. @returns status and body */
function post(agent: http.Agent, url: URL, cookie: string, body: string): Promise<{ status: number; text: string }> {
  return new Promise((resolve, reject) => {
    const headers = { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body), cookie };
    const request = http.request(url, { method: 'POST', agent, headers }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text: Buffer.concat(parts).toString() }));
    });
    request.on('error', reject);
    request.end(body);
  });
}

export interface Client {
  url: URL;
  cookie: string;
  /** The n-th body, from 1. */
  body: (number: number) => string;
}

/** Every client posts one after the other, all at once, for so long. */
export async function load(clients: Client[], forMs: number, from: number[]): Promise<LoadResult> {
  const agent = new http.Agent({ keepAlive: true, maxSockets: clients.length });
  const latencies: number[] = [];
  let errors = 0;
  const start = performance.now();
  await Promise.all(
    clients.map(async (client, i) => {
      while (performance.now() - start < forMs) {
        const number = (from[i] = (from[i] ?? 0) + 1);
        const sent = performance.now();
        const { status, text } = await post(agent, client.url, client.cookie, client.body(number));
        latencies.push(performance.now() - sent);
        if (status !== 200 || text.includes('"conflict"')) errors++;
      }
    }),
  );
  const seconds = (performance.now() - start) / 1000;
  agent.destroy();
  latencies.sort((a, b) => a - b);
  return {
    perSecond: latencies.length / seconds,
    p95Ms: latencies[Math.floor(0.95 * latencies.length)] ?? NaN,
    errors,
  };
}
