import { undo } from '@tiptap/pm/history';
import { TextSelection } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/react';
import type { Dispatch, RefObject, SetStateAction } from 'react';
import type { MarkingOn, PagePoint } from '#core/passage';
import {
  addMarking,
  changeMarking,
  copyMarking,
  markingAt,
  markingById,
  markingsIn,
  removeMarking,
  stepToFirstGap,
  stepToMarking,
} from '../../editor';
import { giveKeys, typeAt } from '../../writing';

/** What the pointer or the next key does on the page: a marking is put there, or the one at hand is led there. */
export type Pointing = 'marking' | 'arrow' | 'bracket';
/** How a marking looks. */
export type MarkingLook = Pick<MarkingOn, 'size' | 'colour' | 'framed'>;

/** So far beneath a marking the next one is put, in points. */
const LINE_POINTS = 18;

/** What the acts need of the page. */
interface Host {
  editor: Editor;
  open: boolean;
  say: (words: string | null) => void;
  pane: RefObject<HTMLDivElement | null>;
  /** What the next marking looks like: as the last one that was changed. */
  look: RefObject<MarkingLook>;
  page: number;
  cross: PagePoint;
  current: string | null;
  pointing: Pointing;
  setPage: (page: number) => void;
  setCross: Dispatch<SetStateAction<PagePoint>>;
  setReading: (isReading: boolean) => void;
  pick: (id: string | null) => void;
  point: (pointing: Pointing) => void;
}

/** All that can be done with markings, on the page as it is now. */
export class MarkingActs {
  constructor(private readonly host: Host) {}

  private isEmpty(id: string): boolean {
    // An empty paragraph has a size of two.
    return (markingById(this.host.editor.state.doc, id)?.node.content.size ?? 0) <= 2;
  }

  /** A marking in which nothing was written goes. */
  private dropEmpty(): void {
    const { editor } = this.host;
    const here = markingAt(editor.state)?.marking.id;
    const tr = here && this.isEmpty(here) ? removeMarking(editor.state, here) : null;
    if (tr) editor.view.dispatch(tr);
  }

  private toPage(): void {
    this.host.setReading(true);
    this.host.pane.current?.focus({ preventScroll: true });
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
      setCross({ x: here.at.x, y: here.at.y + LINE_POINTS });
      pick(this.isEmpty(here.id) ? null : here.id);
    }
    this.dropEmpty();
    this.toPage();
  }

  /** A marking is begun at a place; `typed` is its first letter, where one was typed. */
  begin(to: PagePoint, typed = ''): void {
    const { editor, open, look, page } = this.host;
    if (!open) return;
    this.dropEmpty();
    const marking = { ...look.current, id: crypto.randomUUID(), page, at: to };
    editor.view.dispatch(addMarking(editor.state, marking));
    this.toWords();
    if (typed) typeAt(editor.view, typed);
  }

  /** A place on the page was pointed at. */
  pointAt(to: PagePoint): void {
    const { setCross, pointing, current, point } = this.host;
    setCross(to);
    if (pointing === 'marking' || !current) return this.begin(to);
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

  /** A marking is at hand on the page, to be moved or looked at. */
  pick(id: string | null): void {
    const { editor, setPage, setCross, pick } = this.host;
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

  /** The marking at hand, and those that are put down from now on, look so. */
  change(change: Partial<Omit<MarkingOn, 'id' | 'page'>>): void {
    const { editor, current, look } = this.host;
    const { size, colour, framed } = { ...look.current, ...change };
    look.current = { size, colour, framed };
    const tr = current === null ? null : changeMarking(editor.state, current, change);
    if (tr) editor.view.dispatch(tr);
  }

  /** The marking at hand goes so many points to the right and down; with none the cross does. */
  move(dx: number, dy: number): void {
    const { editor, current, setCross } = this.host;
    const found = current === null ? null : markingById(editor.state.doc, current);
    if (!found) return setCross(({ x, y }) => ({ x: x + dx, y: y + dy }));
    const at = { x: found.marking.at.x + dx, y: found.marking.at.y + dy };
    this.change({ at });
    setCross(at);
  }

  /** The same words again: where the cross is, or at the same place of another page. */
  again(where?: { page: number }): void {
    const { editor, open, say, current, page, cross, setPage, setCross, pick } = this.host;
    const from = current ?? markingsIn(editor.state.doc).at(-1)?.marking.id;
    const found = from ? markingById(editor.state.doc, from) : null;
    if (!found || !open) return say('There is no marking yet to put down again.');
    const { marking } = found;
    const isSame = cross.x === marking.at.x && cross.y === marking.at.y;
    const at = where ? marking.at : isSame ? { x: cross.x, y: cross.y + LINE_POINTS } : cross;
    const on = { id: crypto.randomUUID(), page: where?.page ?? page, at };
    const tr = copyMarking(editor.state, marking.id, on, () => crypto.randomUUID());
    if (!tr) return;
    editor.view.dispatch(tr);
    setPage(on.page);
    setCross(at);
    if (stepToFirstGap(editor.state)) this.toWords();
    else pick(on.id);
  }

  /** The marking at hand is deleted. */
  drop(): void {
    const { editor, current, open, pick, say } = this.host;
    const tr = current && open ? removeMarking(editor.state, current) : null;
    if (!tr) return;
    editor.view.dispatch(tr);
    pick(null);
    say('The marking is deleted. Ctrl Z brings it back.');
    this.toPage();
  }

  /** What was done last is taken back; false where there is nothing. */
  undo(): boolean {
    const { editor, pane } = this.host;
    // Where a blank was is no longer what is written on: it would take the keys.
    const isDone = undo(editor.state, (tr) =>
      editor.view.dispatch(tr.setSelection(TextSelection.atStart(tr.doc))),
    );
    pane.current?.focus({ preventScroll: true });
    return isDone;
  }
}
