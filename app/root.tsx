import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteLoaderData,
} from 'react-router';
import type { Route } from './+types/root';
import { useEffect } from 'react';
import './app.css';
import { Page } from './ui/page';
import { TryAgain } from './ui/try-again';
import { useKeptFocus } from './ui/use-kept-focus';

export const meta: Route.MetaFunction = () => [
  { title: 'Fen' },
  {
    name: 'description',
    content: 'Bench experiments for chemistry classes, each student with a sample of their own.',
  },
];

export function loader({ context }: Route.LoaderArgs) {
  return { nonce: context.nonce };
}

export function shouldRevalidate() {
  return false;
}

export function Layout({ children }: { children: React.ReactNode }) {
  const nonce = useRouteLoaderData<typeof loader>('root')?.nonce;
  // Whose bench a page shows: its drawing is fetched before the page comes alive.
  const run = useRouteLoaderData<{ labels: { family: string } }>('routes/run');
  // Until then nothing that is pressed is heard, and the pointer says so.
  useEffect(() => {
    document.body.dataset.alive = 'yes';
  }, []);
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/fen.svg" type="image/svg+xml" />
        <Meta />
        <Links />
      </head>
      <body data-family={run?.labels.family}>
        {children}
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function App() {
  useKeptFocus();
  return <Outlet />;
}

/** Whether a page could not be had because of the network: browsers give a TypeError for what they could not fetch. */
const isAway = (error: unknown) => error instanceof TypeError && /fetch|import|load|network/i.test(error.message);

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const missing = isRouteErrorResponse(error) && error.status < 500;
  const sentence = isRouteErrorResponse(error) && typeof error.data === 'string' && missing ? error.data : null;
  return (
    <Page title={missing ? 'Not here' : 'Something went wrong'}>
      <p>
        {sentence ??
          (missing
            ? 'There is nothing at this address, or it is not yours to see.'
            : isAway(error)
              ? 'The server cannot be reached just now. What you did before is kept.'
              : 'Fen made a mistake. What you did before is kept. If it stays, tell your teacher.')}
      </p>
      {!missing && <TryAgain />}
      <p className="mt-4 flex gap-6">
        <a href="/work">My work</a>
        <a href="/prep">Prep room</a>
        <a href="/">First page</a>
      </p>
    </Page>
  );
}
