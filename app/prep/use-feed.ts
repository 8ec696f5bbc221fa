import { useEffect } from 'react';
import { useRevalidator } from 'react-router';

/** What a teacher's tabs hear: one of them holds the connection, for a browser opens only six to a server. */
const CHANNEL = 'fen-feed';
/** A class table is not looked at anew more often than this. */
const EVERY_MS = 1500;

type Hear = (assignmentId: string) => void;

/** Opens the feed, and passes on what it says, until told to stop. */
function listen(hear: Hear): () => void {
  const source = new EventSource('/prep/feed');
  source.onmessage = ({ data }) => hear(String(data));
  return () => source.close();
}

/** Holds the connection for all tabs of this browser: whoever has the lock listens, and the next takes over from it. */
function share(hear: Hear): () => void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }) => hear(String(data));
  const stop = new AbortController();
  const held = new Promise<void>((resolve) => stop.signal.addEventListener('abort', () => resolve()));
  navigator.locks
    .request(CHANNEL, { signal: stop.signal }, async () => {
      const close = listen((id) => {
        hear(id);
        channel.postMessage(id);
      });
      // Something may have moved while the lock went from tab to tab.
      hear('all');
      await held;
      close();
    })
    .catch(() => {});
  return () => {
    stop.abort();
    channel.close();
  };
}

/** Where locks are not to be had, over plain HTTP: only a tab that is seen listens. */
function whileSeen(hear: Hear): () => void {
  let close: (() => void) | undefined;
  const look = () => {
    const isSeen = document.visibilityState === 'visible';
    if (isSeen && !close) {
      close = listen(hear);
      hear('all');
    } else if (!isSeen) {
      close?.();
      close = undefined;
    }
  };
  look();
  document.addEventListener('visibilitychange', look);
  return () => {
    document.removeEventListener('visibilitychange', look);
    close?.();
  };
}

/** Looks again whenever the server says that something moved in an assignment, and no more often than makes sense. */
export function useFeed(assignmentId: string): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let last = 0;
    let isDue = false;
    const look = () => {
      isDue = document.visibilityState !== 'visible';
      if (isDue || timer) return;
      timer = setTimeout(
        () => {
          timer = undefined;
          last = Date.now();
          void revalidate();
        },
        Math.max(0, last + EVERY_MS - Date.now()),
      );
    };
    const seen = () => isDue && look();
    const hear: Hear = (id) => (id === 'all' || id === assignmentId) && look();
    const stop = 'locks' in navigator ? share(hear) : whileSeen(hear);
    document.addEventListener('visibilitychange', seen);
    return () => {
      stop();
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [assignmentId, revalidate]);
}
