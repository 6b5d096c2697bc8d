/**
 * What text looks like and on what it stands: its contrast follows from nothing else, so that each
 * look has to be measured once.
 */
import type { Page } from '@playwright/test';

/** Where the looks of a page wait for their measurement. */
export const LOOK = 'data-look';

/**
 * Marks the text whose look is not known yet; how many there are. What may lie over or under
 * something that is no ancestor of it, or is blended, or drawn, has no look: it is always marked.
 */
export const markLooks = (page: Page, known: string[]): Promise<number> =>
  page.evaluate(
    ([mark, ...list]) => {
      const known = new Set(list);
      const styles = new Map<Element, CSSStyleDeclaration>();
      const styleOf = (element: Element) => {
        const style = styles.get(element) ?? getComputedStyle(element);
        styles.set(element, style);
        return style;
      };
      const isAfloat = (element: Element) =>
        !['static', 'relative'].includes(styleOf(element).position);
      const isBlended = ({ opacity, filter, mixBlendMode }: CSSStyleDeclaration) =>
        opacity !== '1' || filter !== 'none' || mixBlendMode !== 'normal';
      /** Of all that stands on an element: null where its ground is no ancestor's. */
      const grounds = new Map<Element, string | null>();
      const groundOf = (element: Element | null): string | null => {
        if (element === null) return '';
        const found = grounds.get(element);
        if (found !== undefined) return found;
        const under = groundOf(element.parentElement);
        const { backgroundColor, backgroundImage } = styleOf(element);
        const isOpaque = backgroundImage === 'none' && backgroundColor.startsWith('rgb(');
        const isBare = backgroundImage === 'none' && backgroundColor === 'rgba(0, 0, 0, 0)';
        const own = isBare ? '' : `/${backgroundColor} ${backgroundImage}`;
        const through = under === null || isAfloat(element) ? null : `${under}${own}`;
        const ground = isBlended(styleOf(element)) ? null : isOpaque ? own : through;
        grounds.set(element, ground);
        return ground;
      };
      const elements = [...document.body.querySelectorAll('*')];
      const afloat = elements
        .filter((element) => isAfloat(element) && styleOf(element).opacity !== '0')
        .map((element) => ({ element, box: element.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 1 && box.height > 1);
      const isOverlaid = (text: Element) => {
        const box = text.getBoundingClientRect();
        return afloat.some(
          ({ element, box: over }) =>
            over.left < box.right &&
            over.right > box.left &&
            over.top < box.bottom &&
            over.bottom > box.top &&
            !element.contains(text),
        );
      };
      const NO_TEXT = ['hidden', 'range', 'color', 'checkbox', 'radio', 'image'];
      const isField = (element: Element) =>
        element instanceof HTMLInputElement
          ? !NO_TEXT.includes(element.type)
          : ['SELECT', 'TEXTAREA'].includes(element.tagName);
      const hasText = ({ childNodes }: Element) =>
        [...childNodes].some((node) => node instanceof Text && node.data.trim() !== '');
      const lookOf = (element: Element) => {
        const ground = groundOf(element);
        if (ground === null || isOverlaid(element)) return '';
        const { color, fontSize, fontWeight, textShadow } = styleOf(element);
        return [color, fontSize, fontWeight, textShadow, ground].join(' ');
      };
      let count = 0;
      for (const element of elements) {
        if (!isField(element) && !hasText(element)) continue;
        // The rules give no verdict on what is written in a drawing.
        if (element.closest('svg') || !element.checkVisibility()) continue;
        const look = lookOf(element);
        if (known.has(look)) continue;
        element.setAttribute(mark!, look);
        count += 1;
      }
      return count;
    },
    [LOOK, ...known],
  );
