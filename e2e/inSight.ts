/** What of a step is in sight: cut off, covered, or under a fold. */
import type { Page } from '@playwright/test';

/** What of figures and action is cut off, covered or under a fold. */
export const hiddenOn = (page: Page) =>
  page.evaluate(() => {
    const isInside = (inner: DOMRect, outer: DOMRect) =>
      inner.top >= outer.top - 1 &&
      inner.bottom <= outer.bottom + 1 &&
      inner.left >= outer.left - 1 &&
      inner.right <= outer.right + 1;
    const boxOver = (tile: Element) => tile.parentElement!.getBoundingClientRect();
    const seen = ['[data-figure]', '[data-option]', 'fieldset button']
      .map((part) => `[data-work] ${part}`)
      .concat('[data-action] button')
      .join();
    // Tiles share what their step leaves them: never more of it than their own box.
    const spilt = [...document.querySelectorAll('[data-work] [data-setting]')]
      .filter((tile) => !isInside(tile.getBoundingClientRect(), boxOver(tile)))
      .map((tile) => `beside its box: ${tile.textContent}`);
    const hidden = [...document.querySelectorAll(seen)]
      .filter((element) => element.getBoundingClientRect().width > 0)
      .filter((element) => {
        const box = element.getBoundingClientRect();
        const outer = ['[data-setting]', '[data-work]', 'body']
          .map((around) => element.closest(around)?.getBoundingClientRect())
          .filter((found) => found !== undefined);
        const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
        const top = document.elementFromPoint(x, y);
        const isSeen = top !== null && (element.contains(top) || top.contains(element));
        return !isSeen || !outer.every((around) => isInside(box, around));
      })
      .map((element) => element.textContent);
    return [...spilt, ...hidden];
  });

/** A phone's page is scrolled; what leads a step and its action are seen before that. */
export const notSeenOnPhone = (page: Page) =>
  page.evaluate(() => {
    const main = document.querySelector('main')!;
    const [lead] = [
      '[data-next]',
      '[data-lead][data-figure]',
      '[data-lead] [data-figure]',
      '[data-figure]',
    ]
      .concat('[data-option]', 'h3')
      .flatMap((part) => [...document.querySelectorAll(`[data-work] ${part}`)])
      .filter((found) => found.checkVisibility());
    const parts = [lead, document.querySelector('[data-action] button')];
    const covered = parts
      .filter((part) => part instanceof Element)
      .filter((part) => {
        const { left, top, width, height } = part.getBoundingClientRect();
        const at = document.elementFromPoint(left + width / 2, top + height / 2);
        return at === null || !(part.contains(at) || at.contains(part));
      })
      .map((part) => part.textContent);
    return main.scrollWidth > main.clientWidth + 1 ? ['cut off sideways', ...covered] : covered;
  });
