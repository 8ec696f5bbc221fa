import { LOST } from './use-flying-worker';

/** What stands where something should fly, when it cannot be shown. */
export const Lost = ({ isLost }: { isLost: boolean }) =>
  isLost && (
    <p
      role="alert"
      className="bg-paper text-rust border-line-strong absolute inset-x-4 top-4 z-10 border px-3 py-2 text-sm"
    >
      {LOST}
    </p>
  );
