/** Who was found to own a run a moment ago: asked before a body is read, not before something is kept. */

const owners = new Map<string, number>();
const AT_MOST = 5000;
/** What another process has ended is known here after so long, ms; what this one has, at once. */
const KNOWN_MS = 3_000;

const keyOf = (runId: string, tokens: readonly Buffer[]) =>
  `${runId} ${tokens.map((token) => token.toString('base64')).join(' ')}`;

export const isKnownOwner = (runId: string, tokens: readonly Buffer[]): boolean =>
  (owners.get(keyOf(runId, tokens)) ?? 0) > Date.now();

export function noteOwner(runId: string, tokens: readonly Buffer[]): void {
  const key = keyOf(runId, tokens);
  owners.delete(key);
  owners.set(key, Date.now() + KNOWN_MS);
  if (owners.size > AT_MOST) owners.delete(owners.keys().next().value as string);
}

/** Sessions have ended: everybody is asked for again. */
export const forgetOwners = (): void => owners.clear();
