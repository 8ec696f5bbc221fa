import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { describe, expect, it } from 'vitest';
import { countWork, inTurn } from './in-turn';

const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** A request and its answer, as far as these look at them. @param share whose it is */
function visit(path: string, share: string) {
  const locals: Record<string, unknown> = { share };
  const response = Object.assign(new EventEmitter(), { destroyed: false, code: 0, said: '', locals });
  const said = Object.assign(response, {
    status: (code: number) => ((response.code = code), said),
    set: () => said,
    type: () => said,
    send: (text: string) => ((response.said = text), said),
  });
  const state = { begun: false };
  const request = { path } as Request;
  const answer = said as unknown as Response;
  return {
    page: () => inTurn(request, answer, () => void (state.begun = true)),
    work: () => countWork(request, answer, () => void (state.begun = true)),
    /** The page is whole, and nobody has read it yet. */
    made: () => (locals['made'] as () => void)(),
    end: () => response.emit('finish'),
    leave: () => {
      response.destroyed = true;
      response.emit('close');
    },
    said,
    state,
  };
}

const ACT = '/runs/1f0c/acts';
const begun = (pages: ReturnType<typeof visit>[]) => pages.map(({ state }) => state.begun);

describe('pages in turn', () => {
  it('are made two at a time, the others as these are made, and those whose visitor has gone not at all', async () => {
    const pages = Array.from({ length: 6 }, (_, i) => visit('/work', `student ${i}`));
    pages.forEach((page) => page.page());
    await wait(10);
    expect(begun(pages)).toEqual([true, true, false, false, false, false]);
    pages[2]?.leave();
    // Made is enough: who reads slowly holds no place.
    pages[0]?.made();
    await wait(10);
    expect(begun(pages)).toEqual([true, true, false, true, false, false]);
    // Whoever leaves while their page is being made frees the place as well, once.
    pages[1]?.leave();
    pages[1]?.end();
    pages[0]?.end();
    await wait(10);
    expect(begun(pages)).toEqual([true, true, false, true, true, false]);
    pages.forEach((page) => page.end());
    await wait(10);
    expect(pages[5]?.state.begun).toBe(true);
    pages[5]?.end();
  });

  it('of one who asks for three hundred are made one at a time, and refused beyond a few, in a sentence', async () => {
    const many = Array.from({ length: 300 }, () => visit('/work', 'greedy'));
    many.forEach((page) => page.page());
    await wait(10);
    expect(begun(many).filter(Boolean)).toHaveLength(1);
    const refused = () => many.filter(({ said }) => said.code === 503);
    // They are told after a while: who asks again at once asks no oftener.
    expect(refused()).toHaveLength(0);
    await expect.poll(() => refused().length, { timeout: 5_000 }).toBe(300 - 25);
    expect(refused()[0]?.said.said).toMatch(/Load the page again/);
    // Whoever else comes does not wait for them.
    const other = visit('/work', 'other');
    other.page();
    await wait(10);
    expect(other.state.begun).toBe(true);
    other.end();
    many.forEach((page) => page.leave());
    await wait(20);
  });

  it('of a whole school at one address, not signed in yet, are all made', async () => {
    const school = Array.from({ length: 200 }, () => visit('/join', 'from 10.0.0.1'));
    school.forEach((page) => page.page());
    for (const page of school) {
      await wait(0);
      await wait(0);
      page.end();
    }
    await wait(10);
    expect(begun(school).every(Boolean)).toBe(true);
    school.forEach((page) => page.end());
  });

  it('give way to an act that is under way, and not for long', async () => {
    const act = visit(ACT, 'a');
    act.work();
    expect(act.state.begun).toBe(true);
    const [first, second] = [visit('/work', 'b'), visit('/work', 'c')];
    first.page();
    await wait(30);
    expect(first.state.begun).toBe(false);
    act.end();
    await wait(10);
    expect(first.state.begun).toBe(true);
    const long = visit(ACT, 'a');
    long.work();
    second.page();
    // The act is never answered, and the page has its turn all the same.
    await expect.poll(() => second.state.begun, { timeout: 5_000 }).toBe(true);
    [first, second, long].forEach((one) => one.end());
  });

  it('never keep acts, edits or the feed waiting', async () => {
    const held = [visit('/work', 'a'), visit('/work', 'b'), visit('/work', 'c')];
    held.forEach((page) => page.page());
    for (const path of [ACT, '/runs/1f0c/notebook', '/prep/feed']) {
      const work = visit(path, 'd');
      work.page();
      expect(work.state.begun, path).toBe(true);
      work.end();
    }
    for (const page of held) {
      await wait(5);
      page.end();
    }
  });
});
