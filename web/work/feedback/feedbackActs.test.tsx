import { beforeEach, describe, expect, test } from '@jest/globals';
import { history, redo, undo } from '@tiptap/pm/history';
import { EditorState } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/react';
import type { CaseSubmission } from '#contracts';
import type { TextRange } from '#core/passage';
import type { Submission } from '#core/submission';
import { commentAt, commentsIn } from '../../editor';
import { bareView, leafOf } from '../../testing/leafState';
import { FeedbackActs, type WhereOneIs } from './feedbackActs';
import { readingDocument } from './readingDocument';

const line = (text: string) => ({ kind: 'paragraph' as const, spans: [{ text }] });
const SUBMISSION: Submission = {
  version: 1,
  comments: [],
  blocks: [line('We walked twice.'), line('The tide was low.'), line('Nothing else was seen.')],
};
const words = (block: number, from: number, to: number): TextRange => ({
  from: { block, at: from },
  to: { block, at: to },
});

/** Somebody reads a submission and writes about it: where they are, what they are told, what is written. */
class Reader {
  readonly said: (string | null)[] = [];
  readonly leaf = bareView(leafOf(['Summing up.'], [history()]));
  private readonly reading = readingDocument(SUBMISSION);
  private readonly view = bareView(EditorState.create({ doc: this.reading.doc }));
  private on = words(0, 0, 0);
  private over: Partial<WhereOneIs> = {};
  isReading = true;
  laying: WhereOneIs['laying'] = null;

  /** What can be done from where they are now. */
  get acts(): FeedbackActs {
    const { leaf } = this;
    const done = (command: typeof undo) => command(leaf.state(), leaf.view.dispatch);
    const editor = {
      view: leaf.view,
      get state() {
        return leaf.state();
      },
      commands: { undo: () => done(undo), redo: () => done(redo) },
    } as unknown as Editor;
    return new FeedbackActs({
      ...{ editor, open: true, handed: { submission: SUBMISSION } as CaseSubmission, reading: this.reading },
      ...{ view: { current: this.view.view }, selected: () => this.on, look: () => undefined },
      ...{ isReading: this.isReading, laying: this.laying, language: 'en-GB', isSecondLook: false },
      current: commentAt(leaf.state())?.comment.id ?? null,
      say: (told) => void this.said.push(told),
      setReading: (is) => (this.isReading = is),
      setLaying: (laying) => (this.laying = laying),
      ...this.over,
    });
  }

  select(range: TextRange): this {
    this.on = range;
    return this;
  }

  be(over: Partial<WhereOneIs>): this {
    this.over = over;
    return this;
  }

  /** Writes a comment on some words, and goes on reading. */
  write(on: TextRange, text: string): this {
    this.select(on).acts.typed(text);
    this.isReading = true;
    return this;
  }

  get comments() {
    return commentsIn(this.leaf.state().doc).map(({ node, comment }) => [comment.words, node.textContent]);
  }

  get told() {
    return this.said.at(-1);
  }
}

let reader: Reader;
beforeEach(() => {
  reader = new Reader();
});

describe('a comment is begun', () => {
  test('by typing where one reads: the letters are its first, and the keys are in it', () => {
    reader.select(words(0, 3, 9)).acts.typed('How far?');
    expect([reader.comments, reader.isReading]).toEqual([[['walked', 'How far?']], false]);
    expect(commentAt(reader.leaf.state())?.comment.words).toBe('walked');
  });

  test('in the order of the words, whichever is written first', () => {
    reader.write(words(1, 4, 8), 'Which?').write(words(0, 3, 9), 'How far?');
    expect(reader.comments).toEqual([
      ['walked', 'How far?'],
      ['tide', 'Which?'],
    ]);
  });

  test('not on what is finished, which is said, nor where nothing was handed in', () => {
    reader.be({ open: false }).acts.typed('x');
    expect([reader.comments, reader.told]).toEqual([
      [],
      'These comments are finished. Reopen them to write on.',
    ]);
    expect(reader.be({ handed: null }).acts.begin()).toBe(false);
  });

  test('after a colleague has finished it is a second look', () => {
    reader.be({ isSecondLook: true }).write(words(0, 3, 9), 'Indeed.');
    expect(commentsIn(reader.leaf.state().doc)[0]!.comment.secondLook).toBe(true);
  });
});

describe('comments are stepped through', () => {
  beforeEach(() => {
    reader
      .write(words(0, 3, 9), 'one')
      .write(words(1, 4, 8), 'two')
      .write(words(2, 0, 7), 'three');
  });
  const here = () => commentAt(reader.leaf.state())?.node.textContent;

  test('from where one reads: the next from there on, and the last before it', () => {
    reader.select(words(1, 0, 0)).acts.step(1);
    expect(here()).toBe('two');
    reader.isReading = true;
    reader.select(words(1, 0, 0)).acts.step(-1);
    expect(here()).toBe('one');
  });

  test('from a comment: the one beside it; at the ends that is said, and one stays', () => {
    reader.select(words(0, 0, 0)).acts.step(1);
    reader.acts.step(1);
    reader.acts.step(1);
    expect(here()).toBe('three');
    reader.acts.step(1);
    expect([here(), reader.told]).toEqual(['three', 'That was the last comment.']);
  });

  test('where there are none that is said', () => {
    const other = new Reader();
    other.acts.step(1);
    expect(other.told).toBe('There are no comments yet.');
  });
});

describe('the comment at hand', () => {
  beforeEach(() => {
    reader.select(words(0, 3, 9)).acts.typed('How far?');
  });

  test('is deleted, and undo brings it back as it was', () => {
    reader.acts.remove();
    expect(reader.comments).toEqual([]);
    reader.acts.undo();
    expect(reader.comments).toEqual([['walked', 'How far?']]);
    reader.acts.redo();
    expect(reader.comments).toEqual([]);
  });

  test('is moved to other words, or copied to them', () => {
    reader.acts.beginLaying('move');
    reader.select(words(1, 4, 8)).acts.lay();
    expect(reader.comments).toEqual([['tide', 'How far?']]);
    reader.acts.beginLaying('copy');
    reader.select(words(2, 0, 7)).acts.lay();
    expect(reader.comments).toEqual([
      ['tide', 'How far?'],
      ['Nothing', 'How far?'],
    ]);
    expect(reader.laying).toBeNull();
  });

  test('stays where it is when it is not moved after all', () => {
    reader.acts.beginLaying('move');
    reader.select(words(1, 4, 8)).acts.stopLaying();
    expect([reader.comments, reader.laying, reader.told]).toEqual([[['walked', 'How far?']], null, null]);
  });

  test('counts as a fault, as praise, as neither, and again', () => {
    const counted = Array.from({ length: 4 }, () => {
      reader.acts.countAsNext();
      return [commentAt(reader.leaf.state())?.comment.counts?.as, reader.told];
    });
    const [fault, praise, neither] = counted;
    expect(fault).toEqual(['fault', 'This comment counts as a fault.']);
    expect(praise).toEqual(['praise', 'This comment counts as praise.']);
    expect(neither).toEqual([null, 'This comment counts as neither.']);
    expect(counted[3]).toEqual(fault);
  });

  test.each(['remove', 'countAsNext'] as const)(
    '%s does nothing once it is finished, and says where to go',
    (act) => {
      const before = reader.comments;
      reader.be({ open: false }).acts[act]();
      expect([reader.comments, reader.told]).toEqual([
        before,
        'Put the cursor in a comment, or on words that have one, first.',
      ]);
    },
  );
});
