import type { LiveEvent, Tray } from '#contracts';
import { hearOfChange } from './bank';
import { KEYS, queryClient } from './queries';

type Key = readonly string[];

/** What an event makes out of date on a page. */
interface Refresh<Event> {
  /** What is asked for again where it is shown. */
  asks: readonly Key[] | ((event: Event) => readonly Key[]);
  /** The collection of which only what changed is fetched, and the entry that did where it is known. */
  changed?: (event: Event) => { collection: string; entry?: string };
}

/** What others can change, and a page shows. */
export const LIVE: readonly Key[] = [
  KEYS.bank,
  KEYS.glossaries,
  KEYS.houseWords,
  KEYS.cases,
  KEYS.assignments,
  KEYS.proposals,
  KEYS.team,
  KEYS.people,
  KEYS.teamSettings,
  KEYS.sharing,
  KEYS.notes,
  KEYS.sendings,
  KEYS.queue,
  KEYS.trays,
];

/** Whether a page has lines of a tray as they are now: it made the change itself, and need not fetch thousands of them again. */
function hasLines(of: string, versions: Record<string, number>): boolean {
  const known = queryClient.getQueryData<Tray>(KEYS.tray(of));
  const ids = Object.keys(versions);
  if (!known || ids.length === 0) return false;
  const now = new Map(known.lines.map(({ id, version }) => [id, version]));
  return ids.every((id) => (now.get(id) ?? 0) >= versions[id]!);
}

/** What each event refreshes. A new event is a row here; one that is forgotten does not compile. */
const REFRESHES: { [Type in LiveEvent['type']]: Refresh<Extract<LiveEvent, { type: Type }>> } = {
  'entry-saved': {
    asks: ({ entry }) => [KEYS.revisions(entry)],
    changed: ({ collection, entry }) => ({ collection, entry }),
  },
  'entries-changed': {
    asks: [KEYS.wastebasket],
    changed: ({ collection }) => ({ collection }),
  },
  'reach-changed': { asks: [KEYS.bank, KEYS.sharing, KEYS.team, KEYS.proposals] },
  'sharing-changed': { asks: [KEYS.sharing] },
  'proposals-changed': { asks: [KEYS.proposals] },
  'notes-changed': { asks: [KEYS.notes] },
  'presence-changed': { asks: ({ entry }) => [KEYS.present(entry)] },
  'glossary-changed': { asks: [KEYS.glossaries] },
  'house-words-changed': { asks: [KEYS.houseWords] },
  'sessions-changed': { asks: [KEYS.sessions] },
  // What a member kept is handed to others when they leave.
  'people-changed': { asks: [KEYS.team, KEYS.people, KEYS.session, KEYS.teamSettings, KEYS.sharing] },
  'case-added': { asks: [KEYS.cases, KEYS.assignments] },
  'comments-changed': { asks: (event) => [KEYS.othersComments(event.case), KEYS.othersMarkings(event.case)] },
  'queue-changed': { asks: [KEYS.queue] },
  'sendings-changed': { asks: [KEYS.sendings] },
  'tray-changed': { asks: (event) => (hasLines(event.case, event.versions) ? [] : [KEYS.tray(event.case)]) },
  'case-changed': { asks: (event) => [KEYS.case(event.case)] },
  // Make nothing out of date: they are heard by the leaf that has the draft open, and by one that has a recording.
  'draft-saved': { asks: [] },
  'pedal-pressed': { asks: [] },
  missed: { asks: LIVE },
};

/** Asks again for what is shown under some keys, and for what was shown before, once it is shown again. */
export function askAgain(keys: readonly Key[]): void {
  for (const queryKey of keys) void queryClient.invalidateQueries({ queryKey });
}

/** Has the page follow an event. */
export function refreshBy<Type extends LiveEvent['type']>(event: Extract<LiveEvent, { type: Type }>): void {
  const { asks, changed } = REFRESHES[event.type];
  const heard = changed?.(event);
  if (heard) void hearOfChange(heard.collection, heard.entry);
  askAgain(typeof asks === 'function' ? asks(event) : asks);
}
