import { Plugin, PluginKey, type EditorState } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { addMonths, type CalendarDate } from '#core/calendar';
import { isSame } from '#core/difference';
import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import { calendarToday } from '#client/clock';
import { answer, currentBlank, fieldOf, placementsOf } from '../../editor';
import { lineOfBlank } from '../surface/whereKeysGo';

/** An answer that was found beside the text, as in a file; it is taken by a key, never by itself. */
export interface ProposedAnswer {
  words: string;
  /** Where it comes from. */
  context: string;
  answer: Answer;
}

/** What is proposed for a field, the likeliest first. */
export type Proposer = (field: Field) => readonly ProposedAnswer[];

const NOTHING: Proposer = () => [];
const proposing = new PluginKey<Proposer>('proposedAnswers');

/** Knows what is proposed for blanks of the text; nothing until `proposeAnswers`. */
export const proposedAnswers = (): Plugin<Proposer> =>
  new Plugin<Proposer>({
    key: proposing,
    state: {
      init: () => NOTHING,
      apply: (tr, before) => (tr.getMeta(proposing) as Proposer | undefined) ?? before,
    },
  });

/** From here on this is proposed. */
export function proposeAnswers(view: EditorView, proposer: Proposer): void {
  view.dispatch(view.state.tr.setMeta(proposing, proposer).setMeta('addToHistory', false));
}

/** The current blank, what is proposed for it, and which of it is its answer now: -1 for none. */
interface ProposedHere {
  placement: string;
  field: Field;
  given: Answer | undefined;
  proposed: readonly ProposedAnswer[];
  at: number;
}

/** What is proposed for the current blank; null where none is, or nothing is proposed. */
export function proposedHere(state: EditorState): ProposedHere | null {
  const blank = currentBlank(state);
  const field = blank && fieldOf(state.doc, blank.attrs);
  const placement = blank?.attrs.placement;
  if (!field || placement === null || placement === undefined) return null;
  const proposed = (proposing.getState(state) ?? NOTHING)(field);
  const given = placementsOf(state.doc)[placement]?.answers[field.id];
  const at = given ? proposed.findIndex((one) => isSame(one.answer, given)) : -1;
  return { placement, field, given, proposed, at };
}

/** Gives the current blank an answer, in its line too, where one is typed. */
function give(view: EditorView, { placement, field }: ProposedHere, given: Answer): void {
  const line = lineOfBlank(view);
  // What was typed there gives way.
  if (line) delete line.dataset.typed;
  view.dispatch(answer(view.state, placement, field.id, given));
  line?.select();
}

/** Takes what is proposed at a place of the list; false where there is no such. */
export function takeProposed(view: EditorView, at: number): boolean {
  const here = proposedHere(view.state);
  const one = here?.proposed[at];
  if (!here || !one) return false;
  give(view, here, one.answer);
  return true;
}

/** The first that what was typed begins, or stands in; -1 for none. */
function likeTyped({ given, proposed }: ProposedHere): number {
  const typed = given?.kind === 'text' ? given.text.trim().toLowerCase() : '';
  if (typed === '') return 0;
  const begins = proposed.findIndex(({ words }) => words.toLowerCase().startsWith(typed));
  return begins >= 0 ? begins : proposed.findIndex(({ words }) => words.toLowerCase().includes(typed));
}

/** Takes the likeliest proposed answer, of those that fit what was typed; then the next, or the one before. False where there is none. */
export function walkProposed(view: EditorView, step: 1 | -1): boolean {
  const here = proposedHere(view.state);
  if (!here || here.proposed.length === 0) return false;
  if (here.at >= 0) return takeProposed(view, here.at + step);
  // A day that was read from what was typed is an answer of its own.
  const isOpen = here.given === undefined || here.given.kind === 'text';
  return step === 1 && isOpen && takeProposed(view, likeTyped(here));
}

/** The day from which months were counted on a blank, how many, and what that came to. */
interface Counted {
  blank: string;
  from: CalendarDate;
  months: number;
  to: CalendarDate;
}
const counted = new WeakMap<EditorView, Counted>();

/**
 * Moves the day of a blank by whole months, as calendars do by these keys: from its answer, else from the likeliest day that is proposed, else
 * from today. Pressed again it counts from where it began, so that 31 March is 28 February and then 31 January. False for other blanks.
 */
export function moveByMonth(view: EditorView, step: 1 | -1): boolean {
  const here = proposedHere(view.state);
  if (here?.field.kind !== 'date') return false;
  const blank = `${here.placement} ${here.field.id}`;
  const given = here.given?.kind === 'date' ? here.given.date : null;
  const likeliest = here.proposed[0]?.answer;
  const before = counted.get(view);
  const goesOn = before?.blank === blank && before.to === given;
  const from = goesOn
    ? before.from
    : (given ?? (likeliest?.kind === 'date' ? likeliest.date : calendarToday()));
  const months = (goesOn ? before.months : 0) + step;
  const to = addMonths(from, months);
  counted.set(view, { blank, from, months, to });
  give(view, here, { kind: 'date', date: to });
  return true;
}
