// A React Router action that does one INSERT and nothing else, behind the same Express: what the act is measured by.
import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express from 'express';
import type { ServerBuild } from 'react-router';
import { pool } from '@server/db';

const build: ServerBuild = {
  entry: { module: { default: () => new Response('') } },
  routes: {
    root: { id: 'root', path: '', module: { default: () => null } },
    insert: {
      id: 'insert',
      parentId: 'root',
      path: 'insert',
      module: {
        default: undefined as never,
        action: async ({ request }: { request: Request }) => {
          const { number, actId, act } = (await request.json()) as {
            number: number;
            actId: string;
            act: unknown;
          };
          await pool().query('insert into bare (number, act_id, act) values ($1, $2, $3)', [
            number,
            actId,
            JSON.stringify(act),
          ]);
          return Response.json({ number });
        },
      },
    },
  },
  assets: { entry: { imports: [], module: '' }, routes: {}, url: '', version: '' },
  publicPath: '/',
  assetsBuildDirectory: '',
  future: { unstable_optimizeDeps: false } as unknown as ServerBuild['future'],
  ssr: true,
  isSpaMode: false,
  prerender: [],
  routeDiscovery: { mode: 'initial', manifestPath: '/__manifest' },
};

await pool().query(
  'create table if not exists bare (id bigserial primary key, number integer not null, act_id uuid not null, act jsonb not null, created_at timestamptz not null default now())',
);
const app = express();
app.use(compression());
app.use(createRequestHandler({ build, mode: 'production' }));
app.listen(Number(process.env.PORT), '127.0.0.1', () => process.send?.('listening'));
