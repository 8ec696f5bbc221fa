import { useEffect, useRef } from 'react';

/** Brings whoever sent a long form to the first of its mistakes: in view, and in the focus. @returns a ref for the form */
export function useFirstMistake<E extends HTMLElement>(mistakes: Readonly<Record<string, string>>) {
  const form = useRef<E>(null);
  useEffect(() => {
    if (Object.keys(mistakes).length === 0) return;
    const alert = form.current?.querySelector('[data-mistake]');
    alert?.scrollIntoView({ block: 'center' });
    const row = alert?.closest('[data-row]') ?? alert?.parentElement;
    row?.querySelector<HTMLElement>('input, select, textarea')?.focus({ preventScroll: true });
  }, [mistakes]);
  return form;
}
