import type { Editor } from '@tiptap/react';
import type { Transaction } from '@tiptap/pm/state';
import { UnreadableFile } from '#client/api';
import type { DraftDocument } from '#core/draft';
import {
  asOwnWords,
  castTogether,
  isFullCast,
  MOST_SPEAKERS,
  nextSpeakers,
  TooManySpeakers,
  withSpeaker,
  withTerm,
  type Speaker,
  type TimedLine,
  type Transcript,
} from '#core/transcript';
import {
  addTurns,
  beginTurn,
  castTurn,
  joinTurn,
  markDisfluencies,
  mergeSpeakers,
  putTime,
  putTogether,
  timesIn,
  toggleDisfluency,
  unmarkDisfluencies,
  transcriptOf,
  turnAt,
  turnsIn,
  writeSpokenMarks,
  writeTimes,
  type SpokenPlace,
} from '../../editor';
import { giveKeys, termHere } from '../../writing';
import { turnsFrom } from './firstDraft';

/** Something unclear is played from so long before it, in milliseconds. */
const BEFORE_UNCLEAR = 2000;

/** Who may speak next at the caret, the likeliest first; in a turn without words yet, by what was said before that turn. */
export function nextAt({ state }: Editor): string[] {
  const { doc, selection } = state;
  const cast = transcriptOf(doc).cast.map(({ id }) => id);
  const spoken = turnsIn(doc).filter(({ pos }) => pos < selection.from);
  const here = spoken.at(-1);
  if (here?.node.content.size === 0) spoken.pop();
  return nextSpeakers(
    spoken.map(({ attrs }) => attrs.speaker),
    cast,
  );
}

/** The cast with that of somebody else; throws an UnreadableFile where there is no room for all. */
function together(mine: readonly Speaker[], theirs: readonly Speaker[]) {
  try {
    return castTogether(mine, theirs, () => crypto.randomUUID());
  } catch (error) {
    throw error instanceof TooManySpeakers ? new UnreadableFile(error.message) : error;
  }
}

/** What is done with the turns of a transcript and its cast: each one step for undo. */
export class TurnActs {
  constructor(
    private readonly editor: Editor,
    private readonly say: (words: string | null) => void,
  ) {}

  private do(tr: Transaction | null, otherwise: string): void {
    if (tr) this.editor.view.dispatch(tr);
    else this.say(otherwise);
    giveKeys(this.editor.view);
  }

  private get now(): number | null {
    return this.editor.storage.recordingClock.now();
  }

  /** Begins a turn of a speaker where the caret is. */
  begin(speaker: string): void {
    this.do(beginTurn(this.editor.state, speaker, this.now), 'A turn cannot begin in a box of its own.');
  }

  /** Begins a turn of whoever is likely to speak next; in a turn without words, gives it to the one after. */
  next(): void {
    const likely = nextAt(this.editor);
    if (likely.length === 0) return this.say('Nobody is in the cast yet: add who speaks in the margin.');
    const here = turnAt(this.editor.state);
    const isNew = here !== null && here.node.content.size === 0;
    const at = isNew ? likely.indexOf(here.attrs.speaker) + 1 : 0;
    this.begin(likely[at % likely.length]!);
  }

  /** Gives the turn at the caret to another speaker. */
  give(speaker: string): void {
    this.do(castTurn(this.editor.state, speaker), 'Put the cursor in a turn first.');
  }

  /** Joins the turn at the caret to the one before. */
  join(): void {
    this.do(joinTurn(this.editor.state), 'Put the cursor in a turn first.');
  }

  /** Puts the time of the recording at the caret. */
  putTime(): void {
    const { now } = this;
    this.do(
      now === null ? null : putTime(this.editor.state, now),
      'There is no recording to take a time from.',
    );
  }

  /** Plays from the time at the caret: that of the turn, or one in the text before it within the turn. */
  playHere(): void {
    const { state, storage } = this.editor;
    const turn = turnAt(state);
    const code = timesIn(state.doc).findLast(
      ({ pos }) => pos < state.selection.to && pos > (turn?.pos ?? -1),
    );
    const at = code?.at ?? turn?.attrs.at ?? null;
    if (at === null) this.say('This turn has no time to play from.');
    else storage.recordingClock.playFrom(at);
  }

  /** Goes to the next place that is unclear, behind the caret or else the first, and plays what is around it. */
  nextUnclear(): void {
    const { state } = this.editor;
    const all = timesIn(state.doc).filter(({ unclear }) => unclear);
    const next = all.find(({ pos }) => pos >= state.selection.to) ?? all[0];
    if (next) this.goToUnclear(next.pos, next.at);
    else this.say('Nothing is marked as unclear.');
  }

  /** Puts the caret behind an unclear place and plays what is around it. */
  goToUnclear(pos: number, at: number): void {
    this.goTo(pos + 1);
    this.editor.storage.recordingClock.playFrom(Math.max(0, at - BEFORE_UNCLEAR));
  }

  /** Puts the caret at a place of the text. */
  goTo(pos: number): void {
    this.editor.chain().setTextSelection(pos).scrollIntoView().run();
    giveKeys(this.editor.view);
  }

  private set(transcript: Transcript): void {
    this.editor.view.dispatch(writeTimes(this.editor.state, transcript));
  }

  private get transcript(): Transcript {
    return transcriptOf(this.editor.state.doc);
  }

  /** Adds a speaker, with initials and a key that are free; nobody where the cast is full. */
  add(name: string): void {
    const { cast } = this.transcript;
    if (isFullCast(cast)) return;
    this.set({ ...this.transcript, cast: withSpeaker(cast, crypto.randomUUID(), name) });
  }

  /** Adds those of another cast who are not in this one by name, as they were written there, as long as there is room. */
  addAll(speakers: readonly Speaker[]): void {
    const { cast } = this.transcript;
    const names = new Set(cast.map(({ name }) => name.toLowerCase()));
    const others = speakers.filter(({ name }) => !names.has(name.toLowerCase()));
    const added = others
      .slice(0, MOST_SPEAKERS - cast.length)
      .map((one) => ({ ...one, id: crypto.randomUUID() }));
    this.set({ ...this.transcript, cast: [...cast, ...added] });
  }

  /** Puts turns that were read from a file at the end of the text; gives how many, and of how many speakers. */
  takeIn(lines: readonly TimedLine[]): { turns: number; speakers: number } {
    const { state, view } = this.editor;
    const { content, cast } = turnsFrom(lines, this.transcript.cast);
    view.dispatch(addTurns(state, content, { ...this.transcript, cast }));
    giveKeys(view);
    const speakers = new Set(
      content.flatMap((block) => (block.type === 'turn' ? [block.attrs.speaker] : [])),
    );
    return { turns: content.length, speakers: speakers.size };
  }

  /** Changes what is said of one speaker. */
  change(id: string, change: Partial<Omit<Speaker, 'id'>>): void {
    const { cast } = this.transcript;
    this.set({ ...this.transcript, cast: cast.map((one) => (one.id === id ? { ...one, ...change } : one)) });
  }

  /** Takes a speaker out of the cast who has no turn. */
  remove(id: string): void {
    const { cast } = this.transcript;
    this.set({ ...this.transcript, cast: cast.filter((one) => one.id !== id) });
  }

  /** Makes two speakers one: all turns of the first are the second's. */
  merge(from: string, into: string): void {
    this.editor.view.dispatch(mergeSpeakers(this.editor.state, from, into));
  }

  /** Keeps the words selected, or the word before the caret, as a term of this recording. */
  keepTerm(): void {
    const words = termHere(this.editor);
    const terms = withTerm(this.transcript.terms ?? [], words);
    if (terms) this.setTerms(terms);
    this.say(
      terms
        ? `“${terms[0]}” is offered in this recording from now on.`
        : words.trim() === ''
          ? 'Put the cursor behind a word first, or select words.'
          : `“${words.trim()}” is offered in this recording already.`,
    );
    giveKeys(this.editor.view);
  }

  /** Has other terms offered in this recording. */
  setTerms(terms: readonly string[]): void {
    this.set({ ...this.transcript, terms: [...terms] });
  }

  /** Has what is marked as a filler, a stammer or a false start left out of what goes out, or in it. */
  setClean(clean: boolean): void {
    this.set({ ...this.transcript, clean });
  }

  /** Marks fillers, stammers and false starts. */
  markDisfluent(places: readonly { from: number; to: number }[]): void {
    this.editor.view.dispatch(markDisfluencies(this.editor.state, places));
  }

  /** Takes all such marks off. */
  unmarkDisfluent(): void {
    this.editor.view.dispatch(unmarkDisfluencies(this.editor.state));
  }

  /** Marks the words selected, or takes their mark off. */
  toggleDisfluent(): void {
    this.do(toggleDisfluency(this.editor.state), 'Select the words to mark first.');
  }

  /** Writes marks that were dictated as words. */
  writeSpoken(places: readonly SpokenPlace[]): void {
    this.editor.view.dispatch(writeSpokenMarks(this.editor.state, places));
  }

  /** Says which part of the recording this leaf is for; null for the whole. */
  setPart(part: NonNullable<Transcript['part']> | null): void {
    const { part: _, ...whole } = this.transcript;
    this.set(part ? { ...whole, part } : whole);
  }

  /**
   * Puts what somebody else has written down where by its times it belongs; gives how many blocks that were, of which none is put in
   * twice. Throws an UnreadableFile where the cast has no room for all of its speakers.
   */
  putTogether(theirs: DraftDocument): number {
    const { state, view } = this.editor;
    const transcript = transcriptOf(state.doc);
    const { cast, here } = together(transcript.cast, theirs.attrs.transcript?.cast ?? []);
    const content = asOwnWords(theirs).content.map((block) =>
      block.type === 'turn'
        ? {
            ...block,
            attrs: { ...block.attrs, speaker: here.get(block.attrs.speaker) ?? block.attrs.speaker },
          }
        : block,
    );
    const tr = putTogether(state, content, { ...transcript, cast });
    if (!tr) return 0;
    view.dispatch(tr);
    return tr.doc.childCount - state.doc.childCount;
  }

  /** Writes labels, or times, another way. */
  write(change: Partial<Pick<Transcript, 'labels' | 'times'>>): void {
    this.set({ ...this.transcript, ...change });
  }
}
