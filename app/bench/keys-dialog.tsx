import { Dialog } from 'radix-ui';
import { useFocusBack } from '@app/ui/use-focus-back';

const KEYS: [keys: string, what: string][] = [
  ['← → ↑ ↓', 'from thing to thing, on the bench and the tray'],
  ['Enter', 'does what is done most with the thing'],
  ['Tab', 'to the loupe, to the verbs of the selected thing, then to the notebook'],
  ['R', 'to the reading: type it, Enter records it'],
  ['L', 'loupe out or away'],
  ['A', 'the names of all things, over the bench'],
  ['W', 'says what the selected thing holds and shows'],
  ['P', 'stops and starts the bench clock'],
  ['F', 'bench alone, notebook alone, both'],
  ['?', 'this list'],
];

export interface KeysProps {
  /** Those of the bench that is open. */
  ofBench: readonly [keys: string, what: string][];
  onOpen: (open: boolean) => void;
  letters: boolean;
  onLetters: (on: boolean) => void;
}

/** All keys, and the switch for letters. */
export default function KeysDialog({ ofBench, onOpen, letters, onLetters }: KeysProps) {
  useFocusBack();
  return (
    <Dialog.Root open onOpenChange={onOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="bg-ink/30 fixed inset-0 z-30" />
        <Dialog.Content
          className="border-ink bg-paper fixed top-[12%] left-1/2 z-30 w-[460px] -translate-x-1/2 border p-5"
          aria-describedby={undefined}
          // It has no trigger of its own to go back to.
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          <Dialog.Title className="mb-3 font-serif text-lg">Keys</Dialog.Title>
          <dl className="grid grid-cols-[90px_1fr] gap-y-1 text-sm">
            {[...KEYS.slice(0, 5), ...ofBench, ...KEYS.slice(5)].map(([keys, what]) => (
              <div key={keys} className="contents">
                <dt className="font-mono">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <label className="mt-4 flex items-center gap-2 text-sm">
            <input type="checkbox" checked={letters} onChange={(event) => onLetters(event.target.checked)} />
            Letters act while the bench has the focus
          </label>
          <Dialog.Close className="text-water mt-4 text-sm underline">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
