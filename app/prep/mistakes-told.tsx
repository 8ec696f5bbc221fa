import { Wrong } from '@app/ui/form';

/** How many things are to be mended, where the form was sent. */
export function MistakesTold({ mistakes, nothing }: { mistakes: Readonly<Record<string, string>>; nothing: string }) {
  const count = Object.keys(mistakes).length;
  if (count === 0) return null;
  return (
    <Wrong>
      {nothing} {count === 1 ? 'One thing is' : `${count} things are`} to be mended. The first is in view.
    </Wrong>
  );
}
