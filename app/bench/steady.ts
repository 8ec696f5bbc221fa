/** Parts of a view that seldom change, though each answer of the server brings them anew. */
const SLOW = ['readings', 'leftOut', 'logged', 'slots', 'steps', 'trials', 'lots'] as const;

/**
 * Views whose slow parts are the same objects for as long as they say the same: what is drawn from them, such as a
 * notebook of tables and graphs, is not drawn anew with each act.
 */
export class Steady<View extends object> {
  private readonly known = new WeakMap<object, object>();
  private last: Record<string, unknown> = {};

  of(view: View): View {
    const parts = { ...view } as Record<string, unknown>;
    let isChanged = false;
    for (const key of SLOW) {
      const part = parts[key];
      if (typeof part !== 'object' || part === null) continue;
      const steady = this.sameAs(part, this.last[key]);
      isChanged ||= steady !== part;
      parts[key] = this.last[key] = steady;
    }
    return isChanged ? (parts as View) : view;
  }

  private sameAs(part: object, last: unknown): object {
    const known = this.known.get(part);
    if (known) return known;
    const isSame = typeof last === 'object' && last !== null && JSON.stringify(last) === JSON.stringify(part);
    const steady = isSame ? (last as object) : part;
    this.known.set(part, steady);
    return steady;
  }
}
