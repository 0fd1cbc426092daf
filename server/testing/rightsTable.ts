import type { RouteName } from '#contracts';

/** Who calls: nobody; a member to whom the collection does not exist; those with a right on it; an owner who has none. */
export const CALLERS = ['nobody', 'stranger', 'reader', 'contributor', 'keeper', 'owner'] as const;
export type CallerName = (typeof CALLERS)[number];

/** What comes of a call: done, or the problem it is refused with. */
export type Outcome = 'ok' | 'unsigned' | 'not-allowed' | 'not-found' | 'link-used';

type Row = readonly [Outcome, Outcome, Outcome, Outcome, Outcome, Outcome];

const anyone: Row = ['ok', 'ok', 'ok', 'ok', 'ok', 'ok'];
const members: Row = ['unsigned', 'ok', 'ok', 'ok', 'ok', 'ok'];
const owners: Row = ['unsigned', 'not-allowed', 'not-allowed', 'not-allowed', 'not-allowed', 'ok'];
const readers: Row = ['unsigned', 'not-found', 'ok', 'ok', 'ok', 'not-found'];
const contributors: Row = ['unsigned', 'not-found', 'not-allowed', 'ok', 'ok', 'not-found'];
const keepers: Row = ['unsigned', 'not-found', 'not-allowed', 'not-allowed', 'ok', 'not-found'];
/** Not even that it exists is told to those who do not keep it. */
const keepersAlone: Row = ['unsigned', 'not-found', 'not-found', 'not-found', 'ok', 'not-found'];
/** Of the keeper's own case, draft or session. */
const given: Row = ['unsigned', 'not-found', 'not-found', 'not-found', 'ok', 'not-found'];
const letters: Row = ['link-used', 'link-used', 'link-used', 'link-used', 'link-used', 'link-used'];

/**
 * The table of rights: for every route of the API what comes of a call on something in a collection that each of the callers
 * has another right on.
 */
export const RIGHTS: Record<Exclude<RouteName, 'events'>, Row> = {
  health: anyone,
  openApi: anyone,
  beginning: anyone,
  makeOwner: anyone,
  session: members,
  signIn: anyone,
  signInDemo: anyone,
  signOut: anyone,
  bank: members,
  bankChanges: members,
  collectionChanges: readers,
  search: members,
  nearest: members,
  team: members,
  makeCollection: keepers,
  saveCollection: keepers,
  collectionRevisions: readers,
  moveCollection: keepers,
  dropCollection: keepers,
  handOn: keepers,
  takeOverFile: keepers,
  alike: members,
  typedAgain: members,
  personalInBank: members,
  termInBank: members,
  sharedEnds: members,
  rewordedInDrafts: members,
  takeSteps: keepers,
  houseWords: members,
  // Whoever keeps anything shared, which each of these members does; who does not is refused (order.test.ts).
  makeHouseWord: members,
  saveHouseWord: members,
  dropHouseWord: members,
  saidOtherwise: members,
  ageing: members,
  reviews: members,
  giveReview: keepers,
  usage: members,
  placed: members,
  practised: members,
  practise: members,
  knownNames: members,
  allowedDetails: readers,
  allowDetail: keepers,
  ignorePhrase: members,
  mergeEntries: keepers,
  sharing: readers,
  share: keepers,
  proposals: members,
  propose: contributors,
  answerProposal: ['unsigned', 'not-found', 'not-allowed', 'not-allowed', 'ok', 'not-found'],
  withdrawProposal: ['unsigned', 'not-found', 'not-allowed', 'ok', 'not-allowed', 'not-found'],
  people: owners,
  invite: owners,
  inviteAgain: owners,
  withdrawInvitation: owners,
  readLetter: letters,
  join: letters,
  newPassword: letters,
  askPassword: anyone,
  changeRole: owners,
  leave: owners,
  comeBack: owners,
  handOver: owners,
  sendPassword: owners,
  changePassword: members,
  saveOwnDetails: members,
  ownSessions: members,
  endSession: given,
  endOtherSessions: members,
  makeGroup: owners,
  saveGroup: owners,
  dropGroup: owners,
  postRoom: owners,
  readPost: owners,
  trail: owners,
  touched: members,
  deleteDraft: given,
  wastebasket: members,
  restore: keepersAlone,
  purge: keepersAlone,
  teamSettings: members,
  saveTeamSettings: owners,
  notes: members,
  note: readers,
  answerNote: keepersAlone,
  closeNote: keepersAlone,
  present: readers,
  gone: members,
  heldAgainst: keepers,
  makeEntry: keepers,
  entry: readers,
  saveEntry: keepers,
  revisions: readers,
  revision: readers,
  cases: members,
  makeCase: members,
  findCases: members,
  takeBundle: members,
  case: given,
  changeCase: given,
  correctRecord: given,
  changeRecordList: given,
  earlierUses: given,
  openDraft: given,
  beginDraft: given,
  fileLimits: members,
  addCaseFile: given,
  caseFile: given,
  deleteCaseFile: given,
  nameDraft: given,
  draft: given,
  saveDraft: given,
  finishDraft: given,
  reopenDraft: given,
  draftStates: given,
  draftState: given,
  setAside: given,
  glossaries: members,
  makeGlossary: members,
  saveGlossary: owners,
  dropGlossary: owners,
  terms: members,
  importTerms: owners,
  keepTerm: members,
  dropTerm: owners,
  ownUses: members,
  countUses: members,
  preferences: members,
  savePreferences: members,
};

/** For every kind of event, which of the callers hear it when it concerns something in that collection. */
export const HEARD: Record<string, readonly CallerName[]> = {
  'entry-saved': ['reader', 'contributor', 'keeper'],
  'entries-changed': ['reader', 'contributor', 'keeper'],
  'reach-changed': ['reader', 'contributor', 'keeper'],
  'proposals-changed': ['contributor', 'keeper'],
  'notes-changed': ['reader', 'keeper'],
  'presence-changed': ['keeper'],
  'people-changed': ['stranger', 'reader', 'contributor', 'keeper', 'owner'],
  'glossary-changed': ['stranger', 'reader', 'contributor', 'keeper', 'owner'],
  'case-added': ['keeper'],
};
