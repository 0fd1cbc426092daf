import { QueryClient, queryOptions, useQuery } from '@tanstack/react-query';
import type { Member } from '#contracts';
import { call, isProblem, Unreachable } from '#client/api';
import { forgetAnswers } from '#client/atHand';
import { signOutOwed } from './signOut';
import type { KindId } from '#core/work';

/** What the server was asked and answered, by key; open pages share it and live events refresh it. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      // Once: away for longer, it is asked for again as soon as the server is found to be back.
      retry: (count, error) => error instanceof Unreachable && count < 1,
      refetchOnWindowFocus: false,
      // Without a connection what is asked fails and is told; held back in hiding it would seem to be coming for ever.
      networkMode: 'always',
      refetchOnReconnect: true,
    },
    // Nor is anything done by itself long after it was asked for.
    mutations: { networkMode: 'always' },
  },
});

/**
 * Asks again for what is on its way under a key, once a change has been shown there: what comes may be of before it, and would take the change
 * away again. Where nothing is on its way nothing is asked.
 */
export function askOnItsWayAgain(queryKey: readonly string[]): void {
  if (queryClient.isFetching({ queryKey }) > 0) void queryClient.invalidateQueries({ queryKey });
}

/** Keys of the query cache, in one place, so that what is invalidated is what was asked. */
export const KEYS = {
  session: ['session'],
  beginning: ['beginning'],
  cases: ['cases'],
  fileLimits: ['file-limits'],
  imports: ['imports'],
  backups: ['backups'],
  room: ['room'],
  bank: ['bank'],
  loose: ['loose'],
  search: ['search'],
  glossaries: ['glossaries'],
  ownUses: ['own-uses'],
  preferences: ['preferences'],
  team: ['team'],
  people: ['people'],
  wastebasket: ['wastebasket'],
  teamSettings: ['team-settings'],
  sessions: ['sessions'],
  post: ['post'],
  trail: ['trail'],
  sharing: ['sharing'],
  proposals: ['proposals'],
  case: (id: string) => ['case', id],
  // Within their case: asked again with it.
  submission: (id: string) => ['case', id, 'submission'],
  othersComments: (id: string) => ['case', id, 'comments'],
  batch: (id: string) => ['case', id, 'batch'],
  trays: ['tray'],
  tray: (id: string) => ['tray', id],
  saidBefore: ['said-before'],
  earlierSummingsUp: (id: string) => ['case', id, 'summings-up'],
  assignments: ['assignments'],
  earlierCasts: ['earlier-casts'],
  othersMarkings: (id: string) => ['case', id, 'markings'],
  othersTranscripts: (id: string) => ['case', id, 'transcripts'],
  earlier: (draft: string) => ['earlier', draft],
  queue: ['queue'],
  earlierEnquiries: (id: string) => ['case', id, 'earlier-enquiries'],
  likeEnquiries: (id: string) => ['case', id, 'like-enquiries'],
  sendings: ['sendings'],
  sendingsOf: (draft: string) => ['sendings', draft],
  notes: ['notes'],
  newerWordings: ['newer-wordings'],
  houseWords: ['house-words'],
  dictionaries: ['dictionaries'],
  knownNames: ['known-names'],
  placed: ['placed'],
  usual: (kind: string) => ['usual', kind],
  practised: ['practised'],
  reviews: ['reviews'],
  allowed: (entry: string) => ['allowed', entry],
  present: (entry: string) => ['present', entry],
  collectionRevisions: (id: string, version: number) => ['collection-revisions', id, version],
  revisions: (entry: string) => ['revisions', entry],
  revision: (entry: string, revision: number) => ['revisions', entry, revision],
} as const;

/** Who is signed in; null when nobody is: nothing then stays here of what was kept for somebody. */
async function whoIsHere(): Promise<Member | null> {
  if (!(await signOutOwed())) return null;
  try {
    return await call('session');
  } catch (error) {
    if (!isProblem(error, 'not-signed-in')) throw error;
    await forgetAnswers();
    return null;
  }
}

/** Who is signed in; null when nobody is. */
export const useSession = () =>
  useQuery({
    queryKey: KEYS.session,
    queryFn: whoIsHere,
    staleTime: Infinity,
  });

export const useBeginning = () => useQuery({ queryKey: KEYS.beginning, queryFn: () => call('beginning') });

export const useCases = () => useQuery({ queryKey: KEYS.cases, queryFn: () => call('cases') });

/** What one's own other texts about the person of a draft answered. */
/** Answers of earlier drafts about the same person; none for a text that is no draft of a case (''). */
export const useEarlierUses = (draft: string) =>
  useQuery({
    queryKey: KEYS.earlier(draft),
    queryFn: () => call('earlierUses', { params: { draft } }),
    enabled: draft !== '',
  });

export const useGlossaries = () => useQuery({ queryKey: KEYS.glossaries, queryFn: () => call('glossaries') });

/** What I have used and what it saved. Counted on by the page itself meanwhile, so it is not asked for often. */
export const useOwnUses = () => useQuery({ queryKey: KEYS.ownUses, queryFn: () => call('ownUses') });

/** How often entries were placed, by everybody and by oneself. */
export const usePlaced = () => useQuery({ queryKey: KEYS.placed, queryFn: () => call('placed') });

/** What usually comes after what in a kind of work. It changes slowly: asked for once, it stands for the day. */
export const useUsual = (kind: KindId) =>
  useQuery({
    queryKey: KEYS.usual(kind),
    queryFn: () => call('usual', { params: { kind } }),
    staleTime: 3_600_000,
  });

/** How well one knows the cues of entries. */
export const usePractised = () => useQuery({ queryKey: KEYS.practised, queryFn: () => call('practised') });

export const useTeam = () => useQuery({ queryKey: KEYS.team, queryFn: () => call('team') });

/** Everyone who is or was of the team, for owners alone. */
export const usePeople = (wanted = true) =>
  useQuery({ queryKey: KEYS.people, queryFn: () => call('people'), enabled: wanted });

export const useOwnSessions = () =>
  useQuery({ queryKey: KEYS.sessions, queryFn: () => call('ownSessions'), staleTime: 0 });

export const usePostRoom = (isOwner: boolean) =>
  useQuery({ queryKey: KEYS.post, queryFn: () => call('postRoom'), staleTime: 0, enabled: isOwner });

/** What takes how much room, and how much is free; for owners. */
export const useRoom = (isOwner: boolean) =>
  useQuery({ queryKey: KEYS.room, queryFn: () => call('room'), staleTime: 60_000, enabled: isOwner });

/** The day's backup is made by itself: the list is asked for again after this long. */
const BACKUPS_MS = 600_000;

export const useBackups = (isWanted: boolean) =>
  useQuery({
    queryKey: KEYS.backups,
    queryFn: () => call('backups'),
    staleTime: 30_000,
    refetchInterval: BACKUPS_MS,
    enabled: isWanted,
  });

export const useQueue = () => useQuery({ queryKey: KEYS.queue, queryFn: () => call('queue') });

export const useSendings = () =>
  useQuery({ queryKey: KEYS.sendings, queryFn: () => call('sendings'), staleTime: 60_000 });

export const useProposals = () => useQuery({ queryKey: KEYS.proposals, queryFn: () => call('proposals') });

/**
 * My unfinished leaves on which words from the bank have a newer wording. A leaf that is open tells of it at once: here it is asked for
 * now and then, and not at every save of everybody.
 */
export const useNewerWordings = () =>
  useQuery({ queryKey: KEYS.newerWordings, queryFn: () => call('newerWordings'), staleTime: 300_000 });

export const useNotes = () => useQuery({ queryKey: KEYS.notes, queryFn: () => call('notes') });

export const useSharing = (collection: string) =>
  useQuery({
    queryKey: [...KEYS.sharing, collection],
    queryFn: () => call('sharing', { params: { collection } }),
  });

/** The languages for which the team has a dictionary of its own. */
export const dictionariesQuery = queryOptions({
  queryKey: KEYS.dictionaries,
  queryFn: () => call('dictionaries'),
  // Files that whoever runs the server puts there, once in a while.
  staleTime: Infinity,
});

/** What the house says, instead of what. Others may change it at any time: it is asked for wherever it is shown. */
export const houseWordsQuery = queryOptions({
  queryKey: KEYS.houseWords,
  queryFn: () => call('houseWords'),
  staleTime: 0,
});

/** Names of the team and of the cases that one was given. */
export const useKnownNames = () =>
  useQuery({ queryKey: KEYS.knownNames, queryFn: () => call('knownNames'), staleTime: 300_000 });

/** Words that may stand in an entry though they look like somebody's details. */
export const useAllowedDetails = (entry: string | undefined) =>
  useQuery({
    queryKey: KEYS.allowed(entry ?? ''),
    queryFn: () => call('allowedDetails', { params: { entry: entry! } }),
    enabled: entry !== undefined,
  });

export const preferencesQuery = queryOptions({
  queryKey: KEYS.preferences,
  queryFn: () => call('preferences'),
  staleTime: Infinity,
});

export const usePreferences = () => useQuery(preferencesQuery);

export const useRevisions = (entry: string) =>
  useQuery({ queryKey: KEYS.revisions(entry), queryFn: () => call('revisions', { params: { entry } }) });

/** One revision of an entry, which never changes. */
export const revisionQuery = (entry: string, revision: number) =>
  queryOptions({
    queryKey: KEYS.revision(entry, revision),
    queryFn: () => call('revision', { params: { entry, revision: String(revision) } }),
    staleTime: Infinity,
  });

export const useRevision = (entry: string, revision: number | null) =>
  useQuery({ ...revisionQuery(entry, revision ?? 0), enabled: revision !== null });
