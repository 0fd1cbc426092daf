import { undo } from '@tiptap/pm/history';
import { TextSelection } from '@tiptap/pm/state';
import type { OthersMarkings } from '#contracts';
import { markingUnit, type MarkingOn, type PagePoint } from '#core/passage';
import type { PdfRectangle } from '#core/submission';
import {
  addMarking,
  alikeMarkings,
  changeMarkings,
  copyMarking,
  lineBeside,
  markingAt,
  markingById,
  markingsIn,
  removeMarkings,
  stepToFirstGap,
  stepToMarking,
} from '../../editor';
import { giveKeys, typeAt } from '../../writing';
import { isLed, type MarkingHost, type MarkingLook, type View } from './markingHost';
import type { NoteOnPage } from './useNotes';

/** So far beneath a marking the next one is put, in points of a page of usual size. */
const LINE_POINTS = 18;
/** So far from a remark the answer to it is put, in such points. */
const BESIDE_POINTS = 6;
/** On more pages than this nothing is put down at once: each of them is words that one writes among. */
const MOST_COPIES = 300;

/** All that can be done with markings, on the page as it is now. */
export class MarkingActs {
  constructor(private readonly host: MarkingHost) {}

  private isEmpty(id: string): boolean {
    // An empty paragraph has a size of two.
    return (markingById(this.host.editor.state.doc, id)?.node.content.size ?? 0) <= 2;
  }

  /** A marking in which nothing was written goes. */
  private dropEmpty(): void {
    const { editor } = this.host;
    const here = markingAt(editor.state)?.marking.id;
    const tr = here && this.isEmpty(here) ? removeMarkings(editor.state, [here]) : null;
    if (tr) editor.view.dispatch(tr);
  }

  private toPage(): void {
    this.host.setReading(true);
    this.host.pane.current?.focus({ preventScroll: true });
  }

  private unit(): number {
    return markingUnit(this.host.size.current);
  }

  private line(): number {
    return LINE_POINTS * this.unit();
  }

  /** The nearest place at which the beginning of some words is still seen on the page. */
  private onPage({ x, y }: PagePoint): PagePoint {
    const { width, height } = this.host.size.current;
    const held = (at: number, side: number) => Math.max(0, Math.min(at, side - this.line()));
    return { x: held(x, width), y: held(y, height) };
  }

  /** The markings that a change is made to. */
  private meant(): string[] {
    const { editor, current, isForAll } = this.host;
    if (current === null) return [];
    return isForAll ? alikeMarkings(editor.state.doc, current).map(({ marking }) => marking.id) : [current];
  }

  private toWords(): void {
    this.host.setReading(false);
    giveKeys(this.host.editor.view);
  }

  /** Back to the page, from the words of a marking; the next one would be put beneath it. */
  back(): void {
    const { editor, setCross, pick } = this.host;
    const here = markingAt(editor.state)?.marking;
    if (here) {
      setCross(this.onPage({ x: here.at.x, y: here.at.y + this.line() }));
      pick(this.isEmpty(here.id) ? null : here.id);
    }
    this.dropEmpty();
    this.toPage();
  }

  /** A marking is begun at a place; `typed` is its first letter, where one was typed; `more`: what else is known of it. */
  begin(to: PagePoint, typed = '', more: Partial<MarkingOn> = {}): void {
    const { editor, open, look, page } = this.host;
    if (!open) return;
    this.dropEmpty();
    const marking = { ...look.current, id: crypto.randomUUID(), page, at: to, ...more };
    editor.view.dispatch(addMarking(editor.state, marking));
    this.toWords();
    if (typed) typeAt(editor.view, typed);
  }

  /** What one says to a remark in the file is begun a little to the right of it. */
  answer({ page, on, object }: NoteOnPage): void {
    const [{ right, top }] = on as [PdfRectangle];
    const beside = { x: right + BESIDE_POINTS * this.unit(), y: top };
    // How large another page is, is not known yet.
    const at = page === this.host.page ? this.onPage(beside) : beside;
    this.look(page, at);
    this.begin(at, '', { page, answers: object && [...object] });
  }

  /** What a colleague has marked is put on one's own leaf too, in its words as they read. */
  takeOver({ words, ...marking }: OthersMarkings['markings'][number]): void {
    const { editor, open, setPage, setCross, pick } = this.host;
    if (!open) return;
    this.dropEmpty();
    const own = { ...marking, id: crypto.randomUUID() };
    editor.view.dispatch(addMarking(editor.state, own, words.split('\n')));
    setPage(own.page);
    setCross(own.at);
    pick(own.id);
    this.toPage();
  }

  /** A place on the page was pointed at. */
  pointAt(to: PagePoint): void {
    const { setCross, pointing, current, point } = this.host;
    setCross(to);
    if (pointing === 'marking' || !current) return this.begin(to);
    if (pointing === 'line-up')
      return this.host.say('Point at a marking: at its words on the page, or in the list.');
    this.change({ lead: { to, as: pointing } });
    point('marking');
  }

  /** The words of a marking are gone to, and written on. */
  write(id: string): void {
    const { editor, open, setPage } = this.host;
    const found = markingById(editor.state.doc, id);
    const tr = stepToMarking(editor.state, id);
    if (!found || !tr || !open) return;
    setPage(found.marking.page);
    editor.view.dispatch(tr);
    this.toWords();
  }

  /** A marking is at hand on the page, to be moved or looked at; while one is to be lined up, that goes in line with it. */
  pick(id: string | null): void {
    const { editor, setPage, setCross, pick, pointing, current } = this.host;
    if (pointing === 'line-up' && current !== null && id !== null && id !== current) return this.lineUp(id);
    const found = id === null ? null : markingById(editor.state.doc, id);
    if (found) {
      setPage(found.marking.page);
      setCross(found.marking.at);
    }
    pick(id);
  }

  /** To the next marking, or the one before; behind the last comes the first. */
  step(by: 1 | -1): void {
    const { editor, current, say } = this.host;
    const all = markingsIn(editor.state.doc).map(({ marking }) => marking.id);
    if (all.length === 0) return say('There is no marking yet.');
    const from = current === null ? (by === 1 ? -1 : 0) : all.indexOf(current);
    this.pick(all[(from + by + all.length) % all.length]!);
  }

  /** The marking at hand stands or leads elsewhere. */
  private change(change: Pick<Partial<MarkingOn>, 'at' | 'lead'>): void {
    const { editor, current, open } = this.host;
    const tr = current === null || !open ? null : changeMarkings(editor.state, [current], change);
    if (tr) editor.view.dispatch(tr);
  }

  /** The marking at hand leads nowhere. */
  leadNowhere(): void {
    this.change({ lead: null });
  }

  /** The marking at hand, or all that say the same, and those that are put down from now on look so. */
  changeLook(change: Partial<MarkingLook>): void {
    const { editor, look, open } = this.host;
    if (!open) return;
    look.current = { ...look.current, ...change };
    const tr = changeMarkings(editor.state, this.meant(), change);
    if (tr) editor.view.dispatch(tr);
  }

  /** The marking at hand goes in line with another: beneath or above it by its left edge, or beside it, whichever is less of a move. */
  private lineUp(id: string): void {
    const { editor, current, point, say, setCross, pick } = this.host;
    const [own, other] = [current ?? '', id].map((one) => markingById(editor.state.doc, one)?.marking);
    point('marking');
    if (!own || !other) return;
    const [dx, dy] = [other.at.x - own.at.x, other.at.y - own.at.y];
    if (dx === 0 || dy === 0) return say('The two are in line.');
    const at = Math.abs(dx) <= Math.abs(dy) ? { x: other.at.x, y: own.at.y } : { x: own.at.x, y: other.at.y };
    this.change({ at });
    setCross(at);
    pick(own.id);
    this.toPage();
  }

  /** In the list: words before all that is marked, or behind it. */
  writeBeside(where: 'before' | 'behind'): void {
    const { editor, open } = this.host;
    if (!open) return;
    editor.view.dispatch(lineBeside(editor.state, where));
    giveKeys(editor.view);
  }

  /** A place of a page is looked at, with no marking at hand. */
  look(page: number, at: PagePoint): void {
    const { setPage, setCross, pick } = this.host;
    pick(null);
    setPage(page);
    setCross(at);
  }

  /** Another page is shown. */
  turnTo(page: number): void {
    this.host.pick(null);
    this.host.setPage(page);
  }

  /** The markings are seen as a list that is written in, or at their places; the one at hand stays at hand. */
  show(view: View): void {
    const { editor, current, pick, setView } = this.host;
    const here = view === 'page' ? (markingAt(editor.state)?.marking.id ?? null) : current;
    setView(view);
    if (view === 'page') {
      this.dropEmpty();
      this.host.setReading(true);
      this.host.point('marking');
      if (here !== null && markingById(editor.state.doc, here)) this.pick(here);
      else pick(null);
      return;
    }
    const tr = here === null ? null : stepToMarking(editor.state, here);
    if (tr) editor.view.dispatch(tr);
    this.host.setReading(false);
  }

  /** Nothing more is pointed at; where nothing was, no marking is at hand any more. */
  letGo(): void {
    const { pointing, pick, point } = this.host;
    if (pointing === 'marking') pick(null);
    else point('marking');
  }

  /** The marking at hand goes so many points to the right and down, and stays on the page; false where there is none. */
  moveMarking(dx: number, dy: number): boolean {
    const { editor, open, current, pointing, setCross } = this.host;
    const found = open && current !== null ? markingById(editor.state.doc, current) : null;
    if (!found) return false;
    const at = this.onPage({ x: found.marking.at.x + dx, y: found.marking.at.y + dy });
    this.change({ at });
    // What is led somewhere is moved at its beginning alone.
    if (!isLed(pointing)) setCross(at);
    return true;
  }

  /** As `moveMarking`; the cross is moved with none, and while one is led elsewhere. */
  move(dx: number, dy: number): void {
    const { pointing, setCross } = this.host;
    if (!isLed(pointing) && this.moveMarking(dx, dy)) return;
    setCross(({ x, y }) => this.onPage({ x: x + dx, y: y + dy }));
  }

  /** The same words again: where the cross is, or at the same place of other pages. */
  again(pages?: readonly number[]): void {
    const { editor, open, say, current, page, cross, setPage, setCross, pick } = this.host;
    const from = current ?? markingsIn(editor.state.doc).at(-1)?.marking.id;
    const found = from ? markingById(editor.state.doc, from) : null;
    if (!found || !open) return say('There is no marking yet to put down again.');
    const { marking } = found;
    const isSame = cross.x === marking.at.x && cross.y === marking.at.y;
    const here = isSame ? this.onPage({ x: cross.x, y: cross.y + this.line() }) : cross;
    const places = pages
      ? pages.filter((one) => one !== marking.page).map((one) => ({ page: one, at: marking.at }))
      : [{ page, at: here }];
    if (places.length > MOST_COPIES)
      return say(`It goes on at most ${MOST_COPIES} pages at once. Nothing was put down: name fewer pages.`);
    const named = places.map((place) => ({ ...place, id: crypto.randomUUID() }));
    const tr = copyMarking(editor.state, marking.id, named, () => crypto.randomUUID());
    if (!tr) return say('It is on that page already. Name another one.');
    editor.view.dispatch(tr);
    const [first] = named;
    setPage(first!.page);
    setCross(first!.at);
    if (named.length > 1) say(`It is on ${named.length} more pages now. Ctrl Z takes them back.`);
    if (markingAt(editor.state)?.marking.id === first!.id && stepToFirstGap(editor.state)) this.toWords();
    else pick(first!.id);
  }

  /** The marking at hand is deleted, or all that say the same. */
  drop(): void {
    const { editor, open, pick, say } = this.host;
    const ids = this.meant();
    const tr = open ? removeMarkings(editor.state, ids) : null;
    if (!tr) return;
    editor.view.dispatch(tr);
    pick(null);
    say(
      ids.length === 1
        ? 'The marking is deleted. Ctrl Z brings it back.'
        : `${ids.length} markings are deleted. Ctrl Z brings them back.`,
    );
    this.toPage();
  }

  /** What was done last is taken back; false where there is nothing. */
  undo(): boolean {
    const { editor, open, pane } = this.host;
    if (!open) return false;
    // Where a blank was is no longer what is written on: it would take the keys.
    const isDone = undo(editor.state, (tr) =>
      editor.view.dispatch(tr.setSelection(TextSelection.atStart(tr.doc))),
    );
    pane.current?.focus({ preventScroll: true });
    return isDone;
  }
}
