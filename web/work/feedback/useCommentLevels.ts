import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';
import { stackedLevels } from '#client/margin';
import { compareRanges } from '#core/passage';
import { PLACE_SIGN } from '#core/submission';
import type { MarkedPassage } from './reading';
import { positionOf } from './readingDocument';
import type { Feedback } from './useFeedback';

const GAP_PX = 10;
/** Where hairlines begin that are not the one at hand, from the edge of the leaf. */
const EDGE_PX = 14;
/** Where the hairline meets a comment, beneath its upper edge. */
const JOIN_PX = 11;
/** So many characters of words that are gone are told. */
const LONGEST_TOLD = 60;

/** A comment as it stands on the page, with the words it is on. */
export interface Standing extends MarkedPassage {
  element: HTMLElement;
}

interface Placed {
  standing: Standing;
  /** The line it is on, and where it stands, in px beneath the top of the leaf. */
  line: number;
  level: number;
  /** Where its words end on that line, in px from the left of the leaf. */
  end: number;
}

/** Lines of words are lower than this. */
const TALLEST_LINE_PX = 60;

/** The leaf that an element stands on. */
const leafOf = (element: Element) => element.closest<HTMLElement>('.leaf-page');
const marginOf = (leaf: HTMLElement) => leaf.parentElement?.querySelector<HTMLElement>('aside') ?? null;

/** How far down the margin something stands already that is no comment. */
function standingFoot(margin: HTMLElement, top: number): number {
  const panel = margin.querySelector<HTMLElement>('.margin-level');
  const above = panel?.previousElementSibling ?? margin.querySelector('.margin-standing');
  if (!above || above.getBoundingClientRect().height === 0) return 0;
  return above.getBoundingClientRect().bottom - top + GAP_PX;
}

/** Where each comment is wanted: level with the line that its words begin on. */
function measured(feedback: Feedback, all: readonly Standing[], leaf: DOMRect) {
  const { reading, viewRef } = feedback;
  return all.flatMap((standing) => {
    if (!reading || !viewRef.current) return [];
    const from = viewRef.current.coordsAtPos(positionOf(reading, standing.on.from), 1);
    const to = viewRef.current.coordsAtPos(positionOf(reading, standing.on.to), -1);
    // Of words over several lines the first is underlined to its end.
    const end = Math.abs(to.bottom - from.bottom) < 4 ? to.right : leaf.right - EDGE_PX;
    // A page that stands as itself is joined at its head.
    const line = Math.min(from.bottom, from.top + TALLEST_LINE_PX) - leaf.top;
    return [{ standing, line, wanted: from.top - leaf.top, end: end - leaf.left }];
  });
}

function write(element: HTMLElement, name: 'top' | 'left' | 'width', px: number): void {
  const wanted = `${Math.round(px)}px`;
  // Written only where it changes: the page is laid out again for each writing.
  if (element.style[name] !== wanted) element.style[name] = wanted;
}

/** Says at the head of a comment that its words are gone; nothing where they are there. */
function tellOfGone({ id, element }: Standing, { gone, comments }: Feedback): void {
  const head = element.querySelector('.comment-head');
  const words = gone.has(id) ? comments.find((one) => one.id === id)?.words : undefined;
  const shown = words?.replaceAll(PLACE_SIGN, '').trim().slice(0, LONGEST_TOLD);
  const told =
    shown === undefined
      ? ''
      : shown === ''
        ? 'Was on a picture or page, which is gone'
        : `Was on “${shown}”, which is gone`;
  if (head && !element.classList.contains('is-others') && head.textContent !== told) head.textContent = told;
}

const ruleOf = (placed: Placed, current: string | null, width: number, gap: number): SVGPathElement => {
  const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
  const isCurrent = placed.standing.id === current;
  // The one at hand is joined to its very words; others to the edge of the leaf, so that no line runs through the text.
  const from = isCurrent ? placed.end : width - EDGE_PX;
  path.setAttribute(
    'd',
    `M${from} ${placed.line} H${width - 2} L${width + gap - 2} ${placed.level + JOIN_PX}`,
  );
  path.setAttribute('class', isCurrent ? 'is-current' : '');
  return path;
};

/** The comments that stand on the page, one's own and those of colleagues, in the order of their words. */
function standingOn(leaf: HTMLElement, { comments }: Feedback, others: readonly MarkedPassage[]): Standing[] {
  const own = comments.map(({ id, on }) => ({ id, on, isOthers: false }));
  const known = new Map([...own, ...others].map((one) => [one.id, one]));
  return [...leaf.querySelectorAll<HTMLElement>('[data-comment]')]
    .flatMap((element): Standing[] => {
      const one = known.get(element.dataset.comment ?? '');
      return one ? [{ ...one, element }] : [];
    })
    .sort((a, b) => compareRanges(a.on, b.on));
}

/** Puts comments beside their words, and draws the hairlines to them. */
function placeComments(feedback: Feedback, others: readonly MarkedPassage[], rules: SVGSVGElement): void {
  const leaf = leafOf(rules);
  const margin = leaf && marginOf(leaf);
  if (!leaf || !margin) return;
  const all = standingOn(leaf, feedback, others);
  for (const standing of all) tellOfGone(standing, feedback);
  if (all.length === 0 || getComputedStyle(all[0]!.element).position !== 'absolute') {
    rules.replaceChildren();
    return;
  }
  const [page, beside] = [leaf.getBoundingClientRect(), margin.getBoundingClientRect()];
  for (const { element } of all) write(element, 'width', beside.width);
  const panel = margin.querySelector<HTMLElement>('.margin-level');
  const wanted = measured(feedback, all, page);
  const levels = stackedLevels(
    wanted.map(({ standing, wanted: at }) => {
      const isHeld = standing.id === feedback.current;
      const beneath = isHeld && panel && panel.offsetHeight > 0 ? panel.offsetHeight + GAP_PX : 0;
      return { wanted: at, height: standing.element.offsetHeight + beneath, isHeld };
    }),
    standingFoot(margin, page.top),
    GAP_PX,
  );
  const gap = beside.left - page.right;
  const paths = wanted.map(({ standing, line, end }, at) => {
    const { element } = standing;
    const around = element.offsetParent?.getBoundingClientRect() ?? page;
    write(element, 'top', page.top + levels[at]! - around.top);
    write(element, 'left', beside.left - around.left);
    element.classList.toggle('is-current', standing.id === feedback.current);
    return ruleOf({ standing, line, end, level: levels[at]! }, feedback.current, page.width, gap);
  });
  rules.replaceChildren(...paths);
}

/** Hears of all by which comments must be put anew: what is written grows, what speaks of it does, fonts arrive, the window narrows. */
function watchSizes(leaf: HTMLElement, soon: () => void): () => void {
  const watch = new ResizeObserver(soon);
  const watched = new Set<Element>();
  const figure = leaf.parentElement ?? leaf;
  const watchAll = () => {
    const all = figure.querySelectorAll('[data-comment], .margin-level, .margin-standing');
    for (const element of [leaf, ...all]) {
      if (watched.has(element)) continue;
      watched.add(element);
      watch.observe(element);
    }
  };
  watchAll();
  const appearing = new MutationObserver(watchAll);
  appearing.observe(figure, { childList: true, subtree: true });
  return () => {
    appearing.disconnect();
    watch.disconnect();
  };
}

/**
 * Keeps comments beside their words: in their order, none over another, the one at hand level with its words, and hairlines to them.
 * Where the page is narrow they stand beneath the text, as it is written there.
 */
export function useCommentLevels(
  feedback: Feedback,
  others: readonly MarkedPassage[],
  rules: RefObject<SVGSVGElement | null>,
): void {
  const place = useRef(() => {});
  const latest = useRef(feedback);
  useLayoutEffect(() => {
    latest.current = feedback;
  });
  const { comments, current, gone, reading } = feedback;
  useLayoutEffect(() => {
    place.current = () => {
      if (rules.current) placeComments(latest.current, others, rules.current);
    };
    place.current();
    // Not with every key: what grows by what is typed is heard of by its size.
  }, [comments, current, gone, reading, others, rules]);
  useEffect(() => {
    let frame = 0;
    const soon = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => place.current());
    };
    const leaf = rules.current && leafOf(rules.current);
    const stop = leaf ? watchSizes(leaf, soon) : () => undefined;
    return () => {
      cancelAnimationFrame(frame);
      stop();
    };
  }, [rules]);
}
