import { z } from 'zod';
import { BankSchema, EntrySchema } from '#core/bank';
import {
  AskedSchema,
  BankHadSchema,
  CollectionChangesSchema,
  CollectionHadSchema,
  FoundSchema,
  NearestSchema,
  NewEntrySchema,
  ProblemToldSchema,
  RevisionSchema,
  RevisionSummarySchema,
  SavedEntrySchema,
} from './bank';
import { BACKUP_ROUTES } from './backupRoutes';
import { BROWSER_ROUTES } from './browserRoutes';
import { CASE_ROUTES } from './caseRoutes';
import { FILE_ROUTES } from './fileRoutes';
import { IMPORT_ROUTES } from './importRoutes';
import { JOB_ROUTES } from './jobRoutes';
import { DICTIONARY_ROUTES } from './dictionaryRoutes';
import { GLOSSARY_ROUTES } from './glossaryRoutes';
import { COLLECTION_ROUTES } from './collectionRoutes';
import { storedRevision } from './limits';
import { BeginningSchema, MemberSchema, OwnerSchema, SignInSchema } from './members';
import { NOTE_ROUTES } from './noteRoutes';
import { ORDER_ROUTES } from './orderRoutes';
import { PEOPLE_ROUTES } from './peopleRoutes';
import { PROPOSAL_ROUTES } from './proposalRoutes';
import { define } from './route';
import { SENDING_ROUTES } from './sendingRoutes';
import { WASTEBASKET_ROUTES } from './wastebasketRoutes';
import { WORK_ROUTES } from './work';

/** Every route of the API: the server binds its handlers to these, the web calls them, OpenAPI is made of them. */
export const ROUTES = define({
  health: {
    method: 'get',
    path: '/api/health',
    access: 'anyone',
    summary: 'Answers when the server is ready.',
    status: 200,
    response: z.object({ ready: z.literal(true) }),
  },
  openApi: {
    method: 'get',
    path: '/api/openapi.json',
    access: 'anyone',
    summary: 'This description, as OpenAPI 3.1.',
    status: 200,
    response: z.record(z.string(), z.unknown()),
  },
  collectionFormat: {
    method: 'get',
    path: '/api/formats/collection.json',
    access: 'anyone',
    summary: 'The JSON Schema (2020-12) of a file of collections, as they are saved and brought in.',
    status: 200,
    response: z.record(z.string(), z.unknown()),
  },
  beginning: {
    method: 'get',
    path: '/api/beginning',
    access: 'anyone',
    atHand: 'team',
    summary: 'How this team begins: whether an owner is needed, and who can be tried in a demo.',
    status: 200,
    response: BeginningSchema,
  },
  makeOwner: {
    method: 'post',
    path: '/api/beginning',
    access: 'anyone',
    summary: "Makes the first owner's account and signs in. Once only.",
    status: 201,
    body: OwnerSchema,
    response: MemberSchema,
  },
  session: {
    method: 'get',
    path: '/api/session',
    access: 'member',
    atHand: 'team',
    summary: 'Who is signed in.',
    status: 200,
    response: MemberSchema,
  },
  signIn: {
    method: 'post',
    path: '/api/session',
    access: 'anyone',
    summary: 'Signs in with email and password.',
    status: 201,
    body: SignInSchema,
    response: MemberSchema,
  },
  signInDemo: {
    method: 'post',
    path: '/api/session/demo',
    access: 'anyone',
    summary: 'Signs in as a demo member. Exists in demo mode only.',
    status: 201,
    body: z.object({ member: z.string().min(1).max(60) }),
    response: MemberSchema,
  },
  signOut: {
    method: 'delete',
    path: '/api/session',
    access: 'anyone',
    summary: 'Ends the session.',
    status: 204,
  },
  bank: {
    method: 'get',
    path: '/api/bank',
    access: 'member',
    forCompanion: true,
    summary: 'The collections the member may see, with their entries; of a large bank with those of some.',
    status: 200,
    response: BankSchema,
  },
  bankChanges: {
    method: 'post',
    path: '/api/bank/changes',
    access: 'member',
    forCompanion: true,
    summary: 'All collections the member may see now, and those of their entries that a page does not have.',
    status: 200,
    body: BankHadSchema,
    response: BankSchema,
  },
  collectionChanges: {
    method: 'post',
    path: '/api/collections/:collection/changes',
    access: 'reader',
    forCompanion: true,
    summary: 'The entries of one collection that a page does not have.',
    status: 200,
    body: CollectionHadSchema,
    response: CollectionChangesSchema,
  },
  search: {
    method: 'post',
    path: '/api/bank/search',
    access: 'member',
    forCompanion: true,
    summary: 'Entries by any word of them, misspelt or unfinished too.',
    status: 200,
    body: AskedSchema,
    response: FoundSchema,
  },
  nearest: {
    method: 'post',
    path: '/api/bank/nearest',
    access: 'member',
    summary: 'The entries nearest to a text: a problem, a sentence, a whole message.',
    status: 200,
    body: ProblemToldSchema,
    response: NearestSchema,
  },
  ...COLLECTION_ROUTES,
  ...IMPORT_ROUTES,
  ...BACKUP_ROUTES,
  ...PROPOSAL_ROUTES,
  ...PEOPLE_ROUTES,
  ...SENDING_ROUTES,
  ...WASTEBASKET_ROUTES,
  ...NOTE_ROUTES,
  ...ORDER_ROUTES,
  present: {
    method: 'post',
    path: '/api/entries/:entry/present',
    access: 'reader',
    summary: 'Says that a page has the entry open, and asks who else has.',
    status: 200,
    body: z.object({ page: z.uuid() }),
    response: z.array(z.string()),
  },
  gone: {
    method: 'delete',
    path: '/api/presences/:page',
    access: 'member',
    summary: 'Says that a page has an entry open no more.',
    status: 204,
  },
  heldAgainst: {
    method: 'put',
    path: '/api/entries/:entry/varies',
    access: 'keeper',
    summary: 'Says that a variation was held against a revision of what it varies.',
    status: 200,
    body: z.object({ revision: storedRevision }),
    response: EntrySchema,
  },
  makeEntry: {
    method: 'post',
    path: '/api/entries',
    access: 'keeper',
    summary: 'Keeps a new entry in a collection.',
    status: 201,
    body: NewEntrySchema,
    response: EntrySchema,
  },
  entry: {
    method: 'get',
    path: '/api/entries/:entry',
    access: 'reader',
    forCompanion: true,
    summary: 'One entry as it is now.',
    status: 200,
    response: EntrySchema,
  },
  saveEntry: {
    method: 'put',
    path: '/api/entries/:entry',
    access: 'keeper',
    summary: 'Saves an entry as a new revision.',
    status: 200,
    guarded: true,
    body: SavedEntrySchema,
    response: EntrySchema,
  },
  revisions: {
    method: 'get',
    path: '/api/entries/:entry/revisions',
    access: 'reader',
    summary: "An entry's history, newest first.",
    status: 200,
    response: z.array(RevisionSummarySchema),
  },
  revision: {
    method: 'get',
    path: '/api/entries/:entry/revisions/:revision',
    access: 'reader',
    summary: 'One revision of an entry.',
    status: 200,
    response: RevisionSchema,
  },
  ...BROWSER_ROUTES,
  ...CASE_ROUTES,
  ...WORK_ROUTES,
  ...FILE_ROUTES,
  ...JOB_ROUTES,
  ...DICTIONARY_ROUTES,
  ...GLOSSARY_ROUTES,
  events: {
    method: 'get',
    path: '/api/events',
    access: 'member',
    summary:
      'What changes, as server-sent events. `?askedFor=` says for how many ms the page has asked for what it shows: where anything was told since, it is told that it missed something.',
    status: 200,
    stream: 'text/event-stream',
  },
});

/** The name of a route, by which handlers are bound to it and pages call it. */
export type RouteName = keyof typeof ROUTES;
type Of<N extends RouteName> = (typeof ROUTES)[N];
/** What a caller sends. */
export type BodyOf<N extends RouteName> =
  Of<N> extends { body: infer S extends z.ZodType } ? z.input<S> : undefined;
/** What comes back. */
export type ResponseOf<N extends RouteName> =
  Of<N> extends { response: infer S extends z.ZodType } ? z.output<S> : undefined;
type Names<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Names<Rest>
  : P extends `${string}:${infer Name}`
    ? Name
    : never;
/** The parameters in a route's path. */
export type ParamsOf<N extends RouteName> = Record<Names<Of<N>['path']>, string>;

/** A route's path with its parameters filled in, each escaped. */
export function pathFor<N extends RouteName>(name: N, params: ParamsOf<N>): string {
  return ROUTES[name].path.replace(/:([a-z]+)/g, (_, key: string) =>
    encodeURIComponent((params as Record<string, string>)[key] ?? ''),
  );
}
