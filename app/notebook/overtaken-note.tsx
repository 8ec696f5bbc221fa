import { Button } from '@app/ui/form';
import type { LiveNotebook } from './use-notebook';

/** Says that a cell was filled in two tabs, and offers the text that does not hold. */
export function OvertakenNote({ live }: { live: LiveNotebook }) {
  const { overtaken } = live;
  if (!overtaken) return null;
  const [standing, other] =
    overtaken.holds === 'mine' ? [overtaken.mine, overtaken.theirs] : [overtaken.theirs, overtaken.mine];
  return (
    <div className="border-sedge mb-3 border-l-4 pl-3 text-sm">
      <p>
        One cell was filled in two tabs. It holds “{standing}” now. In{' '}
        {overtaken.holds === 'mine' ? 'the other' : 'this'} tab “{other}” was typed.
      </p>
      <p className="mt-1 flex gap-3">
        <Button
          type="button"
          onClick={() => {
            live.edit(overtaken.other);
            live.leaveOvertaken();
          }}
        >
          Take “{other}”
        </Button>
        <Button type="button" look="quiet" onClick={live.leaveOvertaken}>
          Leave it as it is
        </Button>
      </p>
    </div>
  );
}
