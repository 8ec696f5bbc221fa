import { hearTeacher } from '@server/feed';
import { requireTeacher } from '../../session';
import type { Route } from './+types/feed';

const HEARTBEAT_MS = 25_000;

/**
 * Server-sent events of one teacher, that say only in which assignment to look again; what there is to see comes from
 * the page's own loader. All tabs of a browser share one.
 */
export async function loader({ request }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const encoder = new TextEncoder();
  let closed = false;
  let stop = () => {};
  const close = () => {
    closed = true;
    stop();
  };
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (text: string) => {
        if (!closed) controller.enqueue(encoder.encode(text));
      };
      request.signal.addEventListener('abort', () => {
        if (closed) return;
        close();
        controller.close();
      });
      say('retry: 2000\n\n');
      const silence = await hearTeacher(teacher.id, (id) => say(`data: ${id ?? 'all'}\n\n`));
      const heart = setInterval(() => say('data: all\n\n'), HEARTBEAT_MS);
      stop = () => {
        clearInterval(heart);
        silence();
      };
      // The watcher may have left while the ear was being put to the wall.
      if (closed) stop();
    },
    cancel: close,
  });
  return new Response(body, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' },
  });
}
