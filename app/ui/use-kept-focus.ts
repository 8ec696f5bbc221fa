import { useEffect } from 'react';

/** So many of what lies around the focus are remembered: one of them is still there when it is gone. */
const DEPTH = 12;

/**
 * The focus is never lost to the page: where what had it goes away, what lay around it and is still there takes it, so
 * that the next Tab goes on from there.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let around: Element[] = [];
    const remember = (event: FocusEvent) => {
      around = [];
      for (let at = event.target as Element | null; at && around.length < DEPTH; at = at.parentElement) around.push(at);
    };
    const find = () => {
      if (document.activeElement !== document.body || around.length === 0) return;
      const [own, ...rest] = around as [Element, ...Element[]];
      if (own.isConnected && !own.matches(':disabled')) return;
      const next = rest.find((one) => one.isConnected && one !== document.body && one !== document.documentElement);
      if (!(next instanceof HTMLElement)) return;
      if (!next.hasAttribute('tabindex')) next.tabIndex = -1;
      next.focus({ preventScroll: true });
    };
    const watch = new MutationObserver(find);
    watch.observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
    document.addEventListener('focusin', remember);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', remember);
    };
  }, []);
}
