/** What a glove hits: how large what is touched is, and how far from the next. */
import type { Page } from '@playwright/test';

/** Least side of what a glove touches, px; a link within a sentence is read, not aimed at. */
const TOUCH_PX = 48;
/** What may be touched on this page and is smaller than a gloved finger. */
export const tooSmallToTouch = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const touched =
      'button, [role=button], a, input, select, textarea, [role=slider], summary, [role=option], [role=menuitem], .mantine-SegmentedControl-label, [data-option]';
    // A tick, a switch and a slider are touched on their words and their way, not only on the mark.
    const WHOLE =
      '.mantine-Checkbox-body, .mantine-Switch-body, .mantine-Slider-trackContainer, .mantine-Chip-root';
    const small = [...document.querySelectorAll<HTMLElement>(touched)].filter((at) => {
      const isDrawn =
        at.checkVisibility({ visibilityProperty: true }) && !at.closest('[aria-hidden]');
      const isRead = at.matches('a') && getComputedStyle(at).display === 'inline';
      const isMark =
        at.matches('.mantine-SegmentedControl-input, [type=hidden], [type=file]') ||
        at.matches('[data-option] input');
      if (!isDrawn || isRead || isMark) return false;
      const { width, height } = (at.closest(WHOLE) ?? at).getBoundingClientRect();
      return Math.min(width, height) > 1 && Math.min(width, height) < least - 0.5;
    });
    return small.map((at) => {
      const { width, height } = at.getBoundingClientRect();
      const name = at.getAttribute('aria-label') ?? at.innerText.slice(0, 40);
      return `${at.tagName} “${name}” ${Math.round(width)}x${Math.round(height)}`;
    });
  }, TOUCH_PX);

/** A finger's breadth between what is touched for different things, px. */
const APART_PX = 12;
/** What stands nearer than that in a step; the words of one choice touch each other. */
export const tooNear = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const touched = ['button', 'a', 'select', 'input:not([type=hidden])', '[data-option]']
      .flatMap((part) => [`[data-work] ${part}`, `[data-bar] ${part}`])
      .join();
    const marks = '[data-option] input, .mantine-SegmentedControl-input';
    const all = [...document.querySelectorAll<HTMLElement>(touched)].filter(
      (at) => at.checkVisibility() && at.getBoundingClientRect().width > 1 && !at.matches(marks),
    );
    const group = (at: Element) => at.closest('[role=radiogroup]') ?? at;
    const gap = (one: DOMRect, other: DOMRect) =>
      Math.hypot(
        Math.max(0, one.left - other.right, other.left - one.right),
        Math.max(0, one.top - other.bottom, other.top - one.bottom),
      );
    const name = (at: HTMLElement) => (at.getAttribute('aria-label') ?? at.innerText).slice(0, 30);
    return all.flatMap((one, i) =>
      all
        .slice(i + 1)
        .filter((other) => !one.contains(other) && !other.contains(one))
        .filter((other) => group(one) !== group(other))
        .map((other) => [other, gap(one.getBoundingClientRect(), other.getBoundingClientRect())])
        .filter((pair): pair is [HTMLElement, number] => (pair[1] as number) < least - 0.5)
        .map(([other, px]) => `“${name(one)}” and “${name(other)}”: ${Math.round(px)} px`),
    );
  }, APART_PX);
