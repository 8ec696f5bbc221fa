import { useEffect, useState, type ComponentType } from 'react';
import { Backoff } from './backoff';

/**
 * A part of a page whose code is loaded when it is first shown. When the network is away it says so in its own place,
 * tries again by itself, and the rest of the page stays as it is.
 * @param load gives the component; what was loaded once is there at once
 */
export function lazyPiece<Props extends object>(load: () => Promise<ComponentType<Props>>, waiting: React.ReactNode) {
  let loaded: ComponentType<Props> | undefined;
  const get = async () => (loaded = await load());
  function Piece(props: Props) {
    const [Found, setFound] = useState<ComponentType<Props> | undefined>(() => loaded);
    const [state, setState] = useState<'loading' | 'away' | 'gave up'>('loading');
    const [asked, setAsked] = useState(0);
    useEffect(() => {
      if (Found) return;
      let gone = false;
      const backoff = new Backoff(() => void ask());
      const ask = () =>
        get().then(
          (found) => !gone && setFound(() => found),
          () => !gone && setState(backoff.failed() ? 'away' : 'gave up'),
        );
      const again = () => setAsked((count) => count + 1);
      void ask();
      window.addEventListener('online', again);
      return () => {
        gone = true;
        backoff.reset();
        window.removeEventListener('online', again);
      };
    }, [Found, asked]);
    if (Found) return <Found {...props} />;
    if (state === 'loading') return waiting;
    return (
      <p role="status" className="text-rust text-sm">
        This part of the page could not be fetched: the server cannot be reached. Nothing is lost.{' '}
        {state === 'away' ? 'It is tried again by itself.' : ''}{' '}
        <button type="button" className="text-water min-h-6 underline" onClick={() => setAsked((count) => count + 1)}>
          Try again now
        </button>
      </p>
    );
  }
  return Object.assign(Piece, { prefetch: () => get().then(() => undefined) });
}
