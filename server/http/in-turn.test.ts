import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { describe, expect, it } from 'vitest';
import { countWork, inTurn } from './in-turn';

const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** A request and its answer, as far as these look at them. */
function visit(path: string) {
  const response = Object.assign(new EventEmitter(), { destroyed: false, code: 0, said: '' });
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

describe('pages in turn', () => {
  it('are made two at a time, the others as these are out, and those whose visitor has gone not at all', async () => {
    const pages = Array.from({ length: 6 }, () => visit('/work'));
    pages.forEach((page) => page.page());
    await wait(10);
    expect(pages.map(({ state }) => state.begun)).toEqual([true, true, false, false, false, false]);
    pages[2]?.leave();
    pages[0]?.end();
    await wait(10);
    expect(pages.map(({ state }) => state.begun)).toEqual([true, true, false, true, false, false]);
    // Whoever leaves while their page is being made frees the place as well, once.
    pages[1]?.leave();
    pages[1]?.end();
    await wait(10);
    expect(pages.map(({ state }) => state.begun)).toEqual([true, true, false, true, true, false]);
    pages.forEach((page) => page.end());
    await wait(10);
    expect(pages[5]?.state.begun).toBe(true);
    pages[5]?.end();
  });

  it('give way to an act that is under way, and not for long', async () => {
    const act = visit(ACT);
    act.work();
    expect(act.state.begun).toBe(true);
    const [first, second] = [visit('/work'), visit('/work')];
    first.page();
    await wait(30);
    expect(first.state.begun).toBe(false);
    act.end();
    await wait(10);
    expect(first.state.begun).toBe(true);
    const long = visit(ACT);
    long.work();
    second.page();
    await wait(400);
    // The act is still not answered, and the page has waited long enough.
    expect(second.state.begun).toBe(true);
    [first, second, long].forEach((one) => one.end());
  });

  it('never keep acts, edits or the feed waiting', async () => {
    const held = [visit('/work'), visit('/work'), visit('/work')];
    held.forEach((page) => page.page());
    for (const path of [ACT, '/runs/1f0c/notebook', '/prep/feed']) {
      const work = visit(path);
      work.page();
      expect(work.state.begun, path).toBe(true);
      work.end();
    }
    for (const page of held) {
      await wait(5);
      page.end();
    }
  });

  it('are refused in a sentence when far too many wait', async () => {
    const pages = Array.from({ length: 602 }, () => visit('/work'));
    pages.forEach((page) => page.page());
    await wait(10);
    const late = visit('/work');
    late.page();
    expect([late.said.code, late.said.said]).toEqual([503, expect.stringMatching(/Load the page again/)]);
    for (let i = 0; i < pages.length; i += 2) {
      pages[i]?.end();
      pages[i + 1]?.end();
      await wait(0);
    }
    expect(pages.filter(({ state }) => state.begun).length).toBeGreaterThan(500);
    pages.forEach((page) => page.leave());
  });
});
