import { lazyPiece } from '@app/ui/lazy-piece';
import type { KeysProps } from './keys-dialog';

const KeysDialog = lazyPiece(() => import('./keys-dialog').then((module) => module.default), null);

export const prefetchKeys = KeysDialog.prefetch;

/** Opens the list of all keys. */
export function Keys({ open, ...props }: KeysProps & { open: boolean }) {
  return (
    <>
      <button
        type="button"
        className="text-water min-h-6 min-w-6 text-sm underline underline-offset-3"
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => props.onOpen(true)}
      >
        Keys
      </button>
      {open && <KeysDialog {...props} />}
    </>
  );
}
