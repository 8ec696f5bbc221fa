import { startTransition, StrictMode } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';
import { isFamily, loadDrawing } from './bench/every-drawing';

/** A page that shows a bench comes alive with the drawing of its family; without it, its error page tries again. */
async function start() {
  const { family } = document.body.dataset;
  if (isFamily(family)) await loadDrawing(family).catch(() => {});
  startTransition(() => {
    hydrateRoot(
      document,
      <StrictMode>
        <HydratedRouter />
      </StrictMode>,
    );
  });
}

void start();
