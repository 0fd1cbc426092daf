/** What stays in sight at the head of a leaf, such as a recording that is heard, says so by this attribute. */
export const STAYS_IN_SIGHT = { 'data-in-sight': '' } as const;

const bandHeight = (): number => document.querySelector<HTMLElement>('[data-in-sight]')?.offsetHeight ?? 0;

/** Sides as the editor asks for them, in px; at the top what stays in sight there is added. */
const sides = (px: number) => ({
  get top() {
    return bandHeight() + px;
  },
  ...{ bottom: px, left: px, right: px },
});

/** The page is moved as soon as the caret would be beneath what stays in sight, and so far that it stands clear of it. */
export const CLEAR_OF_BAND = { scrollThreshold: sides(0), scrollMargin: sides(5) };
