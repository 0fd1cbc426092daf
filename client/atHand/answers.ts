import {
  DraftSchema,
  ROUTES,
  type Draft,
  type Member,
  type Route,
  type RouteName,
  type TeamSettings,
} from '#contracts';
import type { KeptAnswers } from '#client/api';
import { keepDue } from './dueAnswers';
import { forgetChosenFiles } from './chosenFiles';
import { casesOnComputers, isTooOld, noteCasesOnComputers } from './onComputers';
import { noteRoom } from './room';
import { openStore, type AtHandStore } from './store';

/** The server was reached: noted at the most so often. */
const NOTE_EVERY_MS = 60_000;
/** A case that was not opened for so long goes, with its drafts: years of work do not pile up on a computer. */
const CASES_STAY_MS = 60 * 86_400_000;
/** Answers that never change, since their path names what they are: of one thing the newest alone is kept. */
const NAMED = /^(\/api\/glossaries\/[^/]+\/terms\/)[^/]+$/;
const CASE_PATH = /^\/api\/cases\/([^/]+)$/;

/** Whose the computer is now, and when the server was reached last. */
let owner: { member: string; reachedAt: number } | null = null;
/** One thing after another: nothing is kept for somebody before what was kept for another is gone. */
let line: Promise<unknown> = Promise.resolve();

/** Does something with the store after all that was begun before; undefined where there is no store, or no room in it. */
export function inLine<T>(act: (store: AtHandStore) => Promise<T>): Promise<T | undefined> {
  const next = line.then(async () => {
    const store = await openStore();
    return store ? act(store) : undefined;
  });
  const settled = next.catch((error: unknown) => {
    noteRoom(error);
    return undefined;
  });
  line = settled;
  return settled;
}

/** Takes away what is kept of cases. */
async function dropCases(store: AtHandStore): Promise<void> {
  await store.clear('drafts');
  await store.clear('trays');
  const { store: answers } = store.transaction('answers', 'readwrite');
  for (let one = await answers.index('of').openCursor('case'); one; one = await one.continue())
    await one.delete();
}

/** Takes cases away that were not opened for long, and drafts of cases that are not kept. */
async function dropOld(store: AtHandStore): Promise<void> {
  const { store: answers } = store.transaction('answers', 'readwrite');
  const kept = new Set<string>();
  for (let one = await answers.index('of').openCursor('case'); one; one = await one.continue()) {
    const id = CASE_PATH.exec(one.value.path)?.[1];
    if (one.value.at < Date.now() - CASES_STAY_MS) await one.delete();
    else if (id !== undefined) kept.add(id);
  }
  const { store: drafts } = store.transaction('drafts', 'readwrite');
  for (let one = await drafts.openCursor(); one; one = await one.continue())
    if (!kept.has(one.value.case)) await one.delete();
}

async function reached(store: AtHandStore): Promise<void> {
  const now = Date.now();
  if (!owner || now - owner.reachedAt < NOTE_EVERY_MS) return;
  owner = { ...owner, reachedAt: now };
  await store.put('about', { key: 'owner', ...owner });
}

/**
 * The computer is this member's from here on: what was kept for somebody else goes, and what the team lets stay no longer. What
 * waits to be sent stays: it is shown to its own member alone.
 */
export const ownComputer = (who: Member): Promise<void> =>
  inLine(async (store) => {
    const member = who.id;
    const was = await store.get('about', 'owner');
    if (was?.member !== member) {
      await store.clear('answers');
      await store.clear('drafts');
      await store.clear('trays');
      forgetChosenFiles();
    } else if (isTooOld(casesOnComputers(), was.reachedAt, Date.now())) await dropCases(store);
    owner = was?.member === member ? was : { member, reachedAt: Date.now() };
    await store.put('about', { key: 'owner', ...owner });
    // Signing in says who it is as well as the session does.
    await store.put('answers', { path: ROUTES.session.path, of: 'team', at: Date.now(), answer: who });
    await dropOld(store);
  });

/** Takes away everything that is kept for when the server cannot be reached, but what waits to be sent. */
export function forgetAnswers(): Promise<void> {
  forgetChosenFiles();
  return inLine(async (store) => {
    owner = null;
    for (const name of ['answers', 'drafts', 'trays', 'about'] as const) await store.clear(name);
  });
}

/** The team settled how long cases may stay on computers. */
export function followTeam({ casesOnComputers: rule }: Pick<TeamSettings, 'casesOnComputers'>): void {
  if (rule === casesOnComputers()) return;
  noteCasesOnComputers(rule);
  if (rule === 'none') void inLine(dropCases);
}

/** Keeps an answer by its path. */
export const keepAnswer = (path: string, of: 'team' | 'case', answer: unknown): Promise<void> =>
  inLine(async (store) => {
    const named = NAMED.exec(path)?.[1];
    if (named && (await store.getKey('answers', path)) !== undefined) return;
    if (named) await store.delete('answers', IDBKeyRange.bound(named, `${named}\uffff`));
    await store.put('answers', { path, of, at: Date.now(), answer });
    noteRoom(null);
    await reached(store);
  });

/** Takes an answer away. */
export const dropAnswer = (path: string): Promise<void> => inLine((store) => store.delete('answers', path));

/** Keeps a draft as it is on the server. */
export const keepDraft = (draft: Draft): Promise<void> =>
  inLine(async (store) => {
    await store.put('drafts', draft);
    noteRoom(null);
    await reached(store);
  });

/** An answer kept by its path; undefined where there is none, or the team lets it stay no longer. */
export const keptAnswer = (path: string): Promise<unknown> =>
  inLine(async (store) => {
    const kept = await store.get('answers', path);
    return kept?.of === 'case' && !(await mayStay(store)) ? undefined : kept?.answer;
  });

/** Whether cases may still be looked at; what may not goes. */
async function mayStay(store: AtHandStore): Promise<boolean> {
  const reachedAt = owner?.reachedAt ?? (await store.get('about', 'owner'))?.reachedAt ?? 0;
  if (!isTooOld(casesOnComputers(), reachedAt, Date.now())) return true;
  await dropCases(store);
  return false;
}

/** A draft that is kept, by its id. */
export const keptDraft = (id: string): Promise<Draft | undefined> =>
  inLine(async (store) => ((await mayStay(store)) ? store.get('drafts', id) : undefined));

/** Of the drafts of a case that are kept the one to go on with: an unfinished one before a finished one, saved last. */
const draftOfCase = (id: string): Promise<Draft | undefined> =>
  inLine(async (store) => {
    if (!(await mayStay(store))) return undefined;
    const all = await store.getAllFromIndex('drafts', 'case', id);
    return all.sort(
      (a, b) => Number(b.state === 'open') - Number(a.state === 'open') || b.savedAt.localeCompare(a.savedAt),
    )[0];
  });

const lastPart = (path: string) => decodeURIComponent(path.split('/')[3] ?? '');

/** Reads what was kept by an earlier Elderleaf perhaps: undefined where this one cannot read it. */
function readable(name: RouteName, kept: unknown): unknown {
  const { response } = ROUTES[name] as Route;
  if (kept === undefined || !response) return undefined;
  const read = (name === 'openDraft' ? DraftSchema : response).safeParse(kept);
  return read.success ? read.data : undefined;
}

const draftAt = (name: RouteName, path: string): Promise<Draft | undefined> => {
  if (name === 'openDraft') return draftOfCase(lastPart(path));
  return name === 'draft' ? keptDraft(lastPart(path)) : Promise.resolve(undefined);
};

/** Answers as this computer keeps them: the team's, and, as long as the team lets them stay, those of cases and drafts. */
export const ANSWERS_AT_HAND: KeptAnswers = {
  keep: (name, path, answer) => {
    const { atHand } = ROUTES[name] as Route;
    if (name === 'teamSettings' || name === 'saveTeamSettings') followTeam(answer as TeamSettings);
    if (!atHand || (atHand !== 'team' && casesOnComputers() === 'none')) return;
    void (atHand === 'draft' ? keepDraft(answer as Draft) : keepAnswer(path, atHand, answer));
  },
  at: async (name, path) => {
    const { atHand, method } = ROUTES[name] as Route;
    // Opening a draft asks for one; other changes are never answered by what was.
    if (!atHand || (method !== 'get' && name !== 'openDraft')) return undefined;
    await keepDue(path);
    return readable(name, await (atHand === 'draft' ? draftAt(name, path) : keptAnswer(path)));
  },
};

/** What is kept, counted. */
export interface KeptCounts {
  answers: number;
  cases: number;
  drafts: number;
}

/** The ids of the cases that are kept. */
export const keptCases = async (): Promise<string[]> =>
  (await inLine(async (store) =>
    (await store.getAllKeys('answers')).flatMap((path) => CASE_PATH.exec(path)?.[1] ?? []),
  )) ?? [];

/** How much is kept of the team, of cases and of drafts; null where nothing can be. */
export async function countKept(): Promise<KeptCounts | null> {
  const counted = await inLine(async (store) => {
    const paths = await store.getAllKeys('answers');
    return {
      answers: await store.countFromIndex('answers', 'of', 'team'),
      cases: paths.filter((path) => CASE_PATH.test(path)).length,
      drafts: await store.count('drafts'),
    };
  });
  return counted ?? null;
}
