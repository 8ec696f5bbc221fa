import { assignmentOf } from '@server/assignments';
import { hearClass } from '@server/feed';
import { found, idIn, requireTeacher } from '../../session';
import type { Route } from './+types/assignment-feed';

const HEARTBEAT_MS = 25_000;

/** Server-sent events that say only "look again"; what there is to see comes from the page's own loader. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const { id } = await found(assignmentOf(teacher.id, idIn(params.assignmentId)));
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
      const silence = await hearClass(id, () => say('data: look\n\n'));
      const heart = setInterval(() => say('data: look\n\n'), HEARTBEAT_MS);
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
