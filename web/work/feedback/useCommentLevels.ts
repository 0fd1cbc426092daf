import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';
import { stackedLevels } from '#client/margin';
import { compareRanges } from '#core/passage';
import { PLACE_SIGN } from '#core/submission';
import type { MarkedPassage } from './reading';
import { PassagePlaces } from './passagePlaces';
import type { ReadingDocument } from './readingDocument';
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

/** Of each thing that is read, where its passages stand. */
const PLACES = new WeakMap<ReadingDocument, PassagePlaces>();

function placesOf(reading: ReadingDocument): PassagePlaces {
  const known = PLACES.get(reading) ?? new PassagePlaces();
  PLACES.set(reading, known);
  return known;
}

/** Where each comment is wanted: level with the line that its words begin on. */
function measured(
  { reading, viewRef: { current: view } }: Feedback,
  all: readonly Standing[],
  leaf: DOMRect,
) {
  if (!reading || !view) return [];
  const box = view.dom.getBoundingClientRect();
  const places = placesOf(reading);
  const [down, right] = [box.top - leaf.top, box.left - leaf.left];
  return all.map((standing) => {
    const { top, line, end } = places.of(view, reading, standing.on, box);
    return {
      standing,
      ...{ line: line + down, wanted: top + down },
      // Of words over several lines the first is underlined to its end.
      end: end === null ? leaf.width - EDGE_PX : end + right,
    };
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

/** A hairline from words to their comment. */
interface Rule {
  d: string;
  isCurrent: boolean;
}

function ruleOf(placed: Placed, current: string | null, width: number, gap: number): Rule {
  const isCurrent = placed.standing.id === current;
  // The one at hand is joined to its very words; others to the edge of the leaf, so that no line runs through the text.
  const from = isCurrent ? placed.end : width - EDGE_PX;
  const d = `M${from} ${placed.line} H${width - 2} L${width + gap - 2} ${placed.level + JOIN_PX}`;
  return { d, isCurrent };
}

const SVG = 'http://www.w3.org/2000/svg';

/** Draws hairlines: those that are there already are changed where they are others now, and no other thing is touched. */
function drawRules(place: SVGSVGElement, rules: readonly Rule[]): void {
  while (place.childElementCount > rules.length) place.lastElementChild!.remove();
  while (place.childElementCount < rules.length) place.append(document.createElementNS(SVG, 'path'));
  rules.forEach(({ d, isCurrent }, at) => {
    const path = place.children[at]!;
    if (path.getAttribute('d') !== d) path.setAttribute('d', d);
    path.classList.toggle('is-current', isCurrent);
  });
}

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

/** What an element is placed in. */
const boxAround = ({ offsetParent }: HTMLElement, page: DOMRect): DOMRect =>
  offsetParent?.getBoundingClientRect() ?? page;

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
  // All is measured before anything is written: the page would be laid out again between the two.
  const around = wanted.map(({ standing: { element } }) => boxAround(element, page));
  wanted.forEach(({ standing: { id, element } }, at) => {
    write(element, 'top', page.top + levels[at]! - around[at]!.top);
    write(element, 'left', beside.left - around[at]!.left);
    element.classList.toggle('is-current', id === feedback.current);
  });
  drawRules(
    rules,
    wanted.map((one, at) => ruleOf({ ...one, level: levels[at]! }, feedback.current, page.width, gap)),
  );
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
