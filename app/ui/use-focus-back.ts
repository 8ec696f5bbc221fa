import { useEffect, useState } from 'react';

/** What has the focus when this is first drawn has it again when it is gone: for what is opened over a page and closed again. */
export function useFocusBack(): void {
  const [from] = useState(() => (typeof document === 'undefined' ? null : document.activeElement));
  useEffect(
    () => () => {
      // After what covered it is gone, and may no longer hold the focus for itself.
      setTimeout(() => {
        if (from instanceof HTMLElement || from instanceof SVGElement) from.focus();
      }, 0);
    },
    [from],
  );
}

/** The same for what is fetched when it is opened: it is noted at once, before what it lies over gives up the focus. */
export function FocusBack({ children }: { children: React.ReactNode }) {
  useFocusBack();
  return children;
}
