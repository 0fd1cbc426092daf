import { TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import type { Editor } from '@tiptap/react';
import type { CaseSubmission } from '#contracts';
import { commentsOf } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { comparePoints, compareRanges, type CommentOn, type TextPoint, type TextRange } from '#core/passage';
import { wordsBefore, wordsOn } from '#core/submission';
import {
  addComment,
  commentAt,
  commentById,
  commentsIn,
  copyComment,
  countComment,
  fromEditor,
  layComment,
  removeComment,
  sayInWhole,
  type CommentCount,
} from '../../editor';
import type { Criterion, CriterionLevel } from '#core/work';
import { copyPlain, copyRich, giveKeys, stepTo, typeAt } from '../../writing';
import { giveLevel } from './levelWords';
import { passageToComment } from './passageToComment';
import { selectRange } from './reading';
import type { ReadingDocument } from './readingDocument';

/** A comment that is being put on other words: moved there, or copied. */
export interface Laying {
  id: string;
  as: 'move' | 'copy';
}

/** Where one is among what is read and written, and what changes that. */
export interface WhereOneIs {
  editor: Editor;
  open: boolean;
  say: (words: string | null) => void;
  handed: CaseSubmission | null;
  reading: ReadingDocument | null;
  view: { readonly current: EditorView | null };
  /** What is selected in what is read. */
  selected: () => TextRange;
  /** Sees anew which comment is on the words at the caret. */
  look: () => void;
  /** Whether the keys are in what is read, and not in a comment or the summing-up. */
  isReading: boolean;
  /** The comment at hand, by its id. */
  current: string | null;
  laying: Laying | null;
  /** BCP 47: of what is read. */
  language: string;
  /** Whether a colleague has finished with it: what one says then is a second look. */
  isSecondLook: boolean;
  setReading: (isReading: boolean) => void;
  setLaying: (laying: Laying | null) => void;
}

/** The comment to step to from a place among the words: the next one from it on, or the last before it; -1 for none. */
function nextFrom(all: readonly CommentOn[], point: TextPoint, direction: 1 | -1): number {
  const here = { from: point, to: point };
  if (direction === 1)
    return all.findIndex(({ on }) => compareRanges(on, here) >= 0 || comparePoints(on.to, point) >= 0);
  return all.findLastIndex(({ on }) => comparePoints(on.to, point) < 0);
}

const ROUND: readonly CommentCount['as'][] = ['fault', 'praise', null];

const COUNTS_IN_WORDS = {
  fault: 'This comment counts as a fault.',
  praise: 'This comment counts as praise.',
  neither: 'This comment counts as neither.',
};

const NONE_HERE = 'Put the cursor in a comment, or on words that have one, first.';

/** All that can be done with the comments on a submission. */
export class FeedbackActs {
  constructor(private readonly at: WhereOneIs) {}

  /** Begins a comment on what is selected, with the keys in it; false where it cannot be. */
  begin(): boolean {
    const { open, editor, setReading } = this.at;
    const comment = open ? this.newComment() : null;
    if (!comment) return false;
    setReading(false);
    stepTo(editor.view, addComment(editor.state, comment));
    return true;
  }

  /** Words were typed where one reads: they are the first of a comment. */
  typed(words: string): void {
    const { open, editor, say } = this.at;
    if (!open) say('These comments are finished. Reopen them to write on.');
    else if (this.begin()) for (const sign of words) typeAt(editor.view, sign);
  }

  /** Back from a comment to the words it is on; from elsewhere to where one was. */
  back(): void {
    const here = commentAt(this.at.editor.state)?.comment;
    this.read(here ? { from: here.on.from, to: here.on.from } : null);
  }

  /** Goes to a comment, at its end, with its words in sight. */
  goTo(id: string): void {
    const { editor, reading, view, setReading } = this.at;
    const found = commentById(editor.state.doc, id);
    if (!found || !reading || !view.current) return;
    selectRange(view.current, reading, { from: found.comment.on.from, to: found.comment.on.from });
    setReading(false);
    const end = editor.state.doc.resolve(found.pos + found.node.nodeSize - 1);
    stepTo(editor.view, editor.state.tr.setSelection(TextSelection.near(end, -1)));
  }

  /** Goes to the next comment, or the one before. */
  step(direction: 1 | -1): void {
    const { editor, isReading, selected, say } = this.at;
    const all = commentsIn(editor.state.doc).map(({ comment }) => comment);
    const own = isReading ? null : commentAt(editor.state)?.comment;
    const index = own
      ? all.findIndex(({ id }) => id === own.id) + direction
      : nextFrom(all, selected().from, direction);
    const next = all[index];
    if (next) this.goTo(next.id);
    else if (all.length === 0) say('There are no comments yet.');
    else say(direction === 1 ? 'That was the last comment.' : 'That was the first comment.');
  }

  /** Deletes the comment at hand; the keys go back to its words. */
  remove(): void {
    const { editor, say } = this.at;
    const found = this.hand();
    const tr = found && removeComment(editor.state, found.comment.id);
    if (!tr) return say(NONE_HERE);
    editor.view.dispatch(tr);
    this.read({ from: found.comment.on.from, to: found.comment.on.from });
    say('The comment is deleted. Ctrl Z brings it back.');
  }

  /** Has the comment at hand say in whole what it points back to. */
  sayInWhole(): void {
    const { editor, say, setReading } = this.at;
    const found = this.hand();
    const tr = found && sayInWhole(editor.state, found.comment.id, () => crypto.randomUUID());
    if (!tr) return say('This comment does not point back to another.');
    setReading(false);
    stepTo(editor.view, tr);
  }

  /** Begins to put the comment at hand on other words: what it is on is selected, to be widened or left for other words. */
  beginLaying(as: Laying['as']): void {
    const { say, setLaying } = this.at;
    const found = this.hand();
    if (!found) return say(NONE_HERE);
    setLaying({ id: found.comment.id, as });
    this.read(found.comment.on);
    say(
      as === 'move'
        ? 'Select the words that the comment is on, then press Enter. Escape leaves it where it is.'
        : 'Select the words for the copy, then press Enter. Escape makes none.',
    );
  }

  /** Puts the comment that is being laid on what is selected. */
  lay(): void {
    const { editor, laying, say, setLaying, setReading } = this.at;
    const comment = laying && this.newComment();
    if (!comment) return;
    const tr =
      laying.as === 'move'
        ? layComment(editor.state, laying.id, comment)
        : copyComment(editor.state, laying.id, comment, () => crypto.randomUUID());
    setLaying(null);
    say(null);
    setReading(false);
    if (tr) stepTo(editor.view, tr);
  }

  /** Leaves the comment that is being laid where it is. */
  stopLaying(): void {
    const { laying, say, setLaying } = this.at;
    setLaying(null);
    say(null);
    if (laying) this.goTo(laying.id);
  }

  /** Has the comment at hand count as the next: a fault, praise, neither. */
  countAsNext(): void {
    const { say } = this.at;
    const found = this.hand();
    if (!found) return say(NONE_HERE);
    const { criterion = '', as } = found.comment.counts ?? { as: null };
    const next = ROUND[(ROUND.indexOf(as) + 1) % ROUND.length]!;
    this.count({ criterion, as: next });
    say(COUNTS_IN_WORDS[next ?? 'neither']);
  }

  /** Has the comment at hand count as something, or towards another criterion. */
  count(counts: CommentCount): void {
    const { editor, say } = this.at;
    const found = this.hand();
    const tr = found && countComment(editor.state, found.comment.id, counts);
    if (tr) editor.view.dispatch(tr);
    else say(NONE_HERE);
  }

  /** Gives a criterion of the assignment a level; its words come to the summing-up. */
  giveLevel(criterion: Criterion, level: CriterionLevel | null): void {
    const { editor, open } = this.at;
    if (open) editor.view.dispatch(giveLevel(editor.state, criterion, level));
  }

  /** Copies the words of the comment at hand, as they will be read: for a chat. */
  copyWords(as: 'rich' | 'plain'): void {
    const { current, editor, say } = this.at;
    const comment = commentsOf(fromEditor(editor.state.doc)).find(({ id }) => id === current);
    if (!comment) return say(NONE_HERE);
    const words = finishedPassage(comment.passage);
    void (as === 'rich' ? copyRich : copyPlain)(words).then(
      () => say('The comment is copied.'),
      () => say('The browser refused to copy it.'),
    );
  }

  undo(): void {
    this.at.editor.commands.undo();
    this.at.look();
    this.at.say(null);
  }

  redo(): void {
    this.at.editor.commands.redo();
    this.at.look();
  }

  giveKeys(): void {
    giveKeys(this.at.editor.view);
  }

  /** What is selected in what is read. */
  where(): TextRange {
    return this.at.selected();
  }

  /** Gives the keys to what is read, at a stretch of it, or where one was. */
  read(range: TextRange | null): void {
    const { view, reading } = this.at;
    if (!view.current || !reading) return;
    if (range) selectRange(view.current, reading, range);
    view.current.focus();
  }

  /** The comment at hand, where it can be changed. */
  private hand() {
    const { current, open, editor } = this.at;
    return current === null || !open ? null : commentById(editor.state.doc, current);
  }

  private newComment(): CommentOn | null {
    const { handed, selected, language, isSecondLook } = this.at;
    if (!handed) return null;
    const { submission } = handed;
    const on = passageToComment(submission, selected(), language);
    const [words, before] = [wordsOn(submission, on), wordsBefore(submission, on.from)];
    const look = isSecondLook ? { secondLook: true as const } : {};
    return { id: crypto.randomUUID(), on, words, before, ...look };
  }
}
