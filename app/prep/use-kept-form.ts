import { useEffect, useRef } from 'react';

type Entries = [string, string][];

/** What stands in a form's own controls, hidden ones left out. */
function entriesOf(form: HTMLFormElement): Entries {
  return [...new FormData(form)].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : []));
}

function putBack(form: HTMLFormElement, entries: Entries): void {
  const texts = new Map(entries);
  for (const control of form.elements) {
    if (control instanceof HTMLInputElement && control.type === 'checkbox')
      control.checked = entries.some(([name, value]) => name === control.name && value === control.value);
    else if (control instanceof HTMLInputElement || control instanceof HTMLSelectElement)
      if (control.type !== 'hidden' && texts.has(control.name)) control.value = texts.get(control.name) ?? '';
  }
}

/**
 * Keeps what stands in a form for this tab, so that going back to it, or loading it again, finds it as it was left.
 * What is kept ends with the tab, or when the form has done its work and `forget` is called.
 */
export function useKeptForm(key: string) {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    const place = form.current;
    if (!place) return;
    const name = `fen-form ${key}`;
    try {
      const kept = sessionStorage.getItem(name);
      if (kept) putBack(place, JSON.parse(kept) as Entries);
    } catch {
      sessionStorage.removeItem(name);
    }
    const keep = () => sessionStorage.setItem(name, JSON.stringify(entriesOf(place)));
    // Whatever was set from it, the next time begins with what the practical comes with.
    const sent = (event: SubmitEvent) => {
      if (event.submitter instanceof HTMLButtonElement && event.submitter.value === 'set')
        sessionStorage.removeItem(name);
      else keep();
    };
    place.addEventListener('input', keep);
    place.addEventListener('submit', sent);
    return () => {
      place.removeEventListener('input', keep);
      place.removeEventListener('submit', sent);
    };
  }, [key]);
  return form;
}
