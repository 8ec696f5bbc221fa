import { describe, expect, it } from 'vitest';
import { Busy, foldInTurns, inLine, look, sharing } from './folding';

const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
/** A gate that is opened from outside. */
function gate() {
  let open = () => {};
  const opened = new Promise<void>((resolve) => (open = resolve));
  return { open: () => open(), opened };
}

describe('work beside which acts must stay quick', () => {
  it('folds everything in order, and lets others have their turn meanwhile', async () => {
    let turns = 0;
    const others = setInterval(() => turns++, 0);
    const busy = (ms: number) => {
      const until = performance.now() + ms;
      while (performance.now() < until);
    };
    const sum = await foldInTurns(
      Array.from({ length: 40 }, (_, i) => i),
      [] as number[],
      (all, i) => {
        busy(3);
        return [...all, i];
      },
    );
    clearInterval(others);
    expect(sum).toEqual(Array.from({ length: 40 }, (_, i) => i));
    expect(turns).toBeGreaterThan(3);
  });

  it('looks two at a time, in the order in which they were asked for', async () => {
    const gates = Array.from({ length: 5 }, gate);
    const begun: number[] = [];
    const looks = gates.map(({ opened }, i) =>
      look(async () => {
        begun.push(i);
        await opened;
        return i;
      }),
    );
    await wait(5);
    expect(begun).toEqual([0, 1]);
    gates[1]?.open();
    await wait(5);
    expect(begun).toEqual([0, 1, 2]);
    gates.forEach(({ open }) => open());
    expect(await Promise.all(looks)).toEqual([0, 1, 2, 3, 4]);
  });

  it('tells a look that comes when far too many wait, and goes on after one that failed', async () => {
    const held = gate();
    const many = Array.from({ length: 403 }, () => look(() => held.opened));
    expect(() => look(async () => {})).toThrow(Busy);
    held.open();
    await Promise.all(many);
    await expect(look(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await look(async () => 'well')).toBe('well');
  });

  it('does what locks a run one after the other for it, and side by side for others', async () => {
    const held = gate();
    const order: string[] = [];
    const slow = inLine('a', async () => {
      await held.opened;
      order.push('a1');
    });
    const next = inLine('a', async () => void order.push('a2'));
    const other = inLine('b', async () => void order.push('b1'));
    await other;
    expect(order).toEqual(['b1']);
    held.open();
    await Promise.all([slow, next]);
    expect(order).toEqual(['b1', 'a1', 'a2']);
  });

  it('lets nobody wait behind one who sends far too many, and forgets a line that is done', async () => {
    const held = gate();
    const many = Array.from({ length: 40 }, () => inLine('c', () => held.opened));
    await expect(inLine('c', async () => {})).rejects.toThrow(Busy);
    expect(await inLine('d', async () => 'at once')).toBe('at once');
    held.open();
    await Promise.all(many);
    // One that fails is no end of the line.
    await expect(inLine('c', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await inLine('c', async () => 'again')).toBe('again');
  });

  it('gives all who ask at once one answer, a failed one to nobody who asks later', async () => {
    const share = sharing<number>(20);
    let worked = 0;
    const ask = () => share('key', async () => ++worked);
    expect(await Promise.all([ask(), ask(), ask()])).toEqual([1, 1, 1]);
    expect(await ask()).toBe(1);
    await wait(60);
    expect(await ask()).toBe(2);
    const failing = sharing<number>(20);
    await expect(failing('key', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await wait(0);
    expect(await failing('key', async () => 7)).toBe(7);
  });
});
