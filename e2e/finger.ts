import { expect, type Browser, type BrowserContext, type CDPSession, type Locator, type Page } from '@playwright/test';

/** A browser that is worked by finger. */
export const touched = (browser: Browser): Pick<Browser, 'newContext'> => ({
  newContext: (options) => browser.newContext({ ...options, hasTouch: true }) as Promise<BrowserContext>,
});

interface Point {
  x: number;
  y: number;
}

/** One finger on the glass: its touches go through the browser as those of a hand, with scrolling and cancelling. */
export class Finger {
  private constructor(
    readonly page: Page,
    private readonly session: CDPSession,
  ) {}

  static async on(page: Page): Promise<Finger> {
    return new Finger(page, await page.context().newCDPSession(page));
  }

  private touch(type: 'touchStart' | 'touchMove' | 'touchEnd', at?: Point) {
    return this.session.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });
  }

  /** From one point to another, held there for so long before it is lifted. */
  async drag(from: Point, to: Point, holdMs = 0): Promise<void> {
    await this.touch('touchStart', from);
    for (let i = 1; i <= 12; i++) {
      await this.touch('touchMove', {
        x: from.x + ((to.x - from.x) * i) / 12,
        y: from.y + ((to.y - from.y) * i) / 12,
      });
      await this.page.waitForTimeout(16);
    }
    await this.page.waitForTimeout(holdMs);
    await this.touch('touchEnd');
  }

  /** Carries a thing of the bench onto another. */
  async carry(thing: string, to: string): Promise<void> {
    await this.drag(
      await middleOf(this.page.locator(`[data-thing="${thing}"]`)),
      await middleOf(this.page.locator(`[data-thing="${to}"]`)),
    );
    await this.page.waitForTimeout(400);
  }

  /** Brings the knob of a slider to a part of its length, from where it stands. */
  async slide(slider: Locator, part: number, holdMs = 0): Promise<void> {
    const box = await boxOf(slider);
    const [min, max, now] = await slider.evaluate((element: HTMLInputElement) => [
      Number(element.min),
      Number(element.max),
      Number(element.value),
    ]);
    const is = ((now ?? 0) - (min ?? 0)) / ((max ?? 1) - (min ?? 0));
    const knob = 16;
    const at = (share: number): Point =>
      box.height > box.width
        ? { x: box.x + box.width / 2, y: box.y + knob / 2 + (box.height - knob) * (1 - share) }
        : { x: box.x + knob / 2 + (box.width - knob) * share, y: box.y + box.height / 2 };
    await this.drag(at(is), at(part), holdMs);
  }

  /** Taps a verb and waits until the server has it. */
  async verb(name: string | RegExp): Promise<void> {
    const answered = this.page.waitForResponse((response) => response.url().endsWith('/acts'), {
      timeout: 10_000,
    });
    await this.page
      .getByTestId('verbs')
      .getByRole('button', { name, exact: typeof name === 'string' })
      .tap();
    await answered;
    await this.page.waitForTimeout(120);
  }

  select(thing: string): Promise<void> {
    return this.page.locator(`[data-thing="${thing}"]`).tap();
  }

  /** A field typed into with the keys on the screen, and done. */
  async type(field: Locator, text: string): Promise<void> {
    await field.tap();
    await field.fill(text);
    await field.press('Enter');
    await this.page.waitForTimeout(300);
  }
}

export const boxOf = async (locator: Locator) => {
  const box = await locator.boundingBox();
  if (!box) throw new Error('it is not drawn');
  return box;
};

export async function middleOf(locator: Locator): Promise<Point> {
  const { x, y, width, height } = await boxOf(locator);
  return { x: x + width / 2, y: y + height / 2 };
}

/** What could be pressed and is smaller than a finger needs: 24 px either way; words in a sentence are not counted. */
export const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll(
        'button, a[href], select, input:not([type=hidden]), summary, [role=tab], [role=separator]',
      ),
    ].flatMap((element) => {
      const own = element.getBoundingClientRect();
      if (own.width < 2 || own.height < 2 || getComputedStyle(element).visibility === 'hidden') return [];
      if (element.closest('p, .sr-only') && element.matches('a')) return [];
      const label = element.matches('input') ? element.closest('label')?.getBoundingClientRect() : undefined;
      const before = getComputedStyle(element, '::before');
      const width = Math.max(own.width, label?.width ?? 0, Number.parseFloat(before.width) || 0);
      const height = Math.max(own.height, label?.height ?? 0);
      const name = element.getAttribute('aria-label') ?? element.textContent?.trim() ?? '';
      return width >= 23.5 && height >= 23.5
        ? []
        : [`${element.tagName} “${name.slice(0, 40)}” ${Math.round(width)} × ${Math.round(height)}`];
    }),
  );

/** Every page of the notebook, one after the other, with what is too small there. */
export async function expectRoom(page: Page, parts: readonly string[]): Promise<void> {
  for (const name of parts) {
    await page.getByRole('tab', { name }).tap();
    await page.waitForTimeout(200);
    expect(await tooSmall(page), name).toEqual([]);
  }
}
