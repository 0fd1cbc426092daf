import { randomUUID } from 'node:crypto';
import type { Entry, RouteName } from '#contracts';
import { DEFAULT_PREFERENCES } from '#core/glossary';
import { wording } from './entryCalls';
import { callsOfWork } from './rightsCallsOfWork';
import {
  backup,
  backupOnce,
  begunImport,
  importPiece,
  WHO,
  world,
  type Asked,
  FILE,
  caseFile,
  entryWithFile,
  name,
  settings,
  bodyOf,
  entry,
  collection,
  idOf,
  proposal,
  note,
  deletion,
  invitation,
  group,
  glossary,
  member,
  draft,
  DOCUMENT,
  letter,
  sent,
  sending,
  OTHER_DOCUMENT,
  HOUSE_WORD,
  houseWord,
  TOKEN,
  PAGE,
  onEntry,
  onCollection,
  onMember,
  address,
  ownSession,
} from './rightsMade';

/** For every route that needs something: what it is called with. Made anew for each call. */
export const calls: Partial<Record<RouteName, () => Promise<Asked>>> = {
  makeOwner: async () => Promise.resolve({}),
  signInDemo: async () => Promise.resolve({ body: { member: 'imke' } }),
  bankChanges: async () => Promise.resolve({ body: { had: {} } }),
  collectionChanges: () => onCollection({ had: null }),
  search: async () => Promise.resolve({ body: { query: 'words' } }),
  nearest: async () => Promise.resolve({ body: { text: 'words' } }),
  makeCollection: async () => Promise.resolve({ body: { ...settings(), parent: 'ward' } }),
  saveCollection: () => onCollection(settings()),
  collectionRevisions: () => onCollection(),
  moveCollection: () => onCollection({ parent: 'ward', before: null }),
  dropCollection: () => onCollection(),
  handOn: () => onCollection(),
  takeSteps: async () => ({ body: { steps: [{ do: 'delete', entries: [(await entry()).id] }] } }),
  finishedTexts: async () => Promise.resolve({ body: { case: null, after: null } }),
  backupFile: async () => ({ params: { backup: (await backupOnce()).backup } }),
  deleteBackup: async () => ({ params: { backup: await backup() } }),
  compareBackup: async () => ({ body: { backup: (await backupOnce()).backup } }),
  bringBack: async () => {
    const made = await backupOnce();
    const collections = [{ id: made.collection, withSince: false }];
    return { body: { backup: made.backup, collections, cases: [] } };
  },
  beginImport: async () => {
    const { id } = await collection();
    const theirs = { id: 'theirs', parent: null, ...settings() };
    return { body: { name: 'Theirs', collections: [theirs], places: { theirs: id } } };
  },
  sendImportPiece: async () => ({
    params: { import: await begunImport() },
    body: importPiece(),
  }),
  finishImport: async () => ({ params: { import: await begunImport() } }),
  dropImport: async () => ({ params: { import: await begunImport() } }),
  undoImport: async () => {
    const id = await begunImport();
    await world.callers.keeper.post(`/api/imports/${id}/finish`).expect(200);
    return { params: { import: id } };
  },
  alike: async () => Promise.resolve({ body: { least: 0.8 } }),
  termInBank: async () =>
    Promise.resolve({ body: { forms: [{ from: 'words', to: 'text' }], collections: [] } }),
  makeHouseWord: async () => Promise.resolve({ body: HOUSE_WORD }),
  saveHouseWord: async () => ({ params: { word: await houseWord() }, body: HOUSE_WORD }),
  dropHouseWord: async () => ({ params: { word: await houseWord() } }),
  practise: async () => ({
    body: { day: '2026-11-26', answers: [{ entry: (await entry()).id, known: true }] },
  }),
  giveReview: async () => {
    const review = { due: '2027-01-31', keeper: WHO.keeper, looked: false };
    return { body: { entries: [(await entry()).id], review } };
  },
  allowedDetails: () => onEntry(),
  allowDetail: () => onEntry({ words: 'Keel', why: 'The word' }),
  ignorePhrase: async () => Promise.resolve({ body: { key: 'slept well', ignored: true } }),
  mergeEntries: async () => {
    const [into, other] = [await entry(), await entry()];
    const at = ({ id, revision }: Entry) => ({ entry: id, revision });
    return { body: { into: { ...at(into), content: into.content }, entries: [at(other)] } };
  },
  sharing: () => onCollection(),
  share: async () => {
    const asked = await onCollection({ grants: [] });
    const { version } = await bodyOf<{ version: number }>(
      world.callers.keeper.get(`/api/collections/${asked.params!.collection}/sharing`),
    );
    return { ...asked, version };
  },
  propose: () => onEntry({ content: wording(name(), 'Other.'), reason: 'why', base: 1 }),
  answerProposal: async () => ({
    params: { proposal: await proposal() },
    body: { accept: null, answer: 'No' },
  }),
  withdrawProposal: async () => ({ params: { proposal: await proposal() } }),
  invite: async () =>
    Promise.resolve({
      body: { name: 'Guest', email: address(), role: 'member', groups: [] },
    }),
  inviteAgain: async () => ({ params: { invitation: await invitation() } }),
  withdrawInvitation: async () => ({ params: { invitation: await invitation() } }),
  readLetter: async () => Promise.resolve({ body: { token: TOKEN } }),
  join: async () => Promise.resolve({ body: { token: TOKEN, name: 'Guest', password: 'a quiet owl' } }),
  newPassword: async () => Promise.resolve({ body: { token: TOKEN, password: 'a quiet owl' } }),
  askPassword: async () => Promise.resolve({ body: { email: 'nobody@hollin.example' } }),
  changeRole: () => onMember({ role: 'owner' }),
  leave: () => onMember({ handTo: null }),
  comeBack: () => onMember(),
  handOver: () => onMember({ to: 'imke' }),
  sendPassword: () => onMember(),
  saveOwnDetails: async () => Promise.resolve({ body: { name: 'Someone', job: '', phone: '' } }),
  endSession: ownSession,
  joinBrowser: async () => Promise.resolve({ body: { code: 'ABCDE-23456', name: 'Desk' } }),
  nameSession: async () => ({ ...(await ownSession()), body: { name: 'Desk' } }),
  makeGroup: async () => Promise.resolve({ body: { name: name(), members: [] } }),
  saveGroup: async () => ({ params: { group: await group() }, body: { name: name(), members: [] } }),
  dropGroup: async () => ({ params: { group: await group() } }),
  trail: async () =>
    Promise.resolve({ body: { about: null, by: null, from: null, until: null, before: null } }),
  touched: async () => ({ body: { entries: [(await entry()).id] } }),
  deleteDraft: draft,
  restore: async () => ({ params: { deletion: await deletion() }, body: { entries: null } }),
  purge: async () => ({ params: { deletion: await deletion() } }),
  saveTeamSettings: async () => Promise.resolve({ body: { wastebasketDays: 30 } }),
  note: () => onEntry({ text: 'Wrong' }),
  answerNote: async () => ({ params: { note: await note() }, body: { text: 'Yes' } }),
  closeNote: async () => ({ params: { note: await note() }, body: { closed: true } }),
  present: () => onEntry({ page: PAGE }),
  gone: async () => Promise.resolve({ params: { page: PAGE } }),
  heldAgainst: async () => {
    const { id: varied } = await entry();
    const { id: home } = await collection();
    const body = {
      collection: home,
      content: wording(name(), 'x'),
      reason: '',
      varies: { entry: varied, revision: 1 },
    };
    return {
      params: { entry: await idOf(world.callers.keeper.post('/api/entries').send(body)) },
      body: { revision: 1 },
    };
  },
  makeEntry: async () =>
    Promise.resolve({ body: { collection: 'ward', content: wording(name(), 'x'), reason: '' } }),
  entry: () => onEntry(),
  saveEntry: async () => ({ ...(await onEntry({ content: wording(name(), 'y'), reason: '' })), version: 1 }),
  revisions: () => onEntry(),
  revision: async () => ({ params: { entry: (await entry()).id, revision: '1' } }),
  makeCase: async () =>
    Promise.resolve({
      body: { id: randomUUID(), kind: 'leaf', title: name(), number: null, details: [], given: [] },
    }),
  ...callsOfWork,
  findCases: async () => Promise.resolve({ body: { words: 'swan' } }),
  case: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  changeCase: async () => Promise.resolve({ params: { case: 'swan-keel' }, body: { do: 'reopen' } }),
  correctRecord: async () =>
    Promise.resolve({
      params: { case: 'swan-keel' },
      body: { path: 'topic', had: null, value: { kind: 'text', text: name() } },
    }),
  changeRecordList: async () =>
    Promise.resolve({
      params: { case: 'swan-keel' },
      body: {
        list: 'problems',
        had: null,
        now: { label: name(), status: 'active', since: null, source: '' },
      },
    }),
  earlierUses: draft,
  openDraft: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  jobLeft: async () => Promise.resolve({ params: { work: 'ageing' } }),
  stopJob: async () => Promise.resolve({ params: { work: 'ageing' } }),
  sendEntryFile: async () => Promise.resolve({ body: Buffer.from('map'), headers: FILE }),
  entryFile: async () => {
    const { id, content } = await entryWithFile();
    return { params: { entry: id, hash: content.files![0]!.hash } };
  },
  usual: () => Promise.resolve({ params: { kind: 'admission' } }),
  draftFile: async () => {
    const { id, content } = await entryWithFile();
    const { params, version } = await draft();
    const { files } = content;
    const placement = { entry: id, revision: 1, title: 'With a map', cue: null, wording: 'main', files };
    const placed = { ...placement, language: 'en-GB', fields: [], answers: {} };
    const marks = [{ type: 'placed', attrs: { placement: 'p' } }];
    const words = [{ type: 'paragraph', content: [{ type: 'text', text: 'See the map.', marks }] }];
    const document = { type: 'doc', attrs: { placements: { p: placed } }, content: words };
    await world.callers.keeper
      .put(`/api/drafts/${params.draft}`)
      .set('If-Match', `"${version}"`)
      .send({ document });
    return { params: { ...params, hash: files![0]!.hash } };
  },
  addCaseFile: async () =>
    Promise.resolve({
      params: { case: 'swan-keel', file: randomUUID() },
      body: Buffer.from('notes'),
      headers: FILE,
    }),
  caseFile: caseFile,
  deleteCaseFile: caseFile,
  beginDraft: async () =>
    Promise.resolve({
      params: { case: 'swan-keel' },
      body: { id: randomUUID(), title: '', copyOf: null, today: '2026-11-27' },
    }),
  nameDraft: async () => ({ ...(await draft()), body: { title: name() } }),
  draft,
  saveDraft: async () => ({ ...(await draft()), body: { document: DOCUMENT } }),
  finishDraft: draft,
  sendDraft: async () => ({ ...(await letter()), body: sent() }),
  draftSendings: draft,
  sendings: async () => Promise.resolve({}),
  changeSending: async () => ({ ...(await sending()), body: { do: 'taken-back' } }),
  sentMessage: sending,
  reopenDraft: draft,
  draftStates: draft,
  draftState: async () => {
    const { params } = await draft();
    await world.callers.keeper.post(`/api/drafts/${params.draft}/states`).send({ document: OTHER_DOCUMENT });
    const [newest] = await bodyOf<{ id: string }[]>(
      world.callers.keeper.get(`/api/drafts/${params.draft}/states`),
    );
    return { params: { ...params, state: newest!.id } };
  },
  setAside: async () => ({ ...(await draft()), body: { document: DOCUMENT } }),
  readPost: async () => {
    await world.imke.post(`/api/members/${await member()}/password`);
    return { params: { letter: world.server.context.post.waiting()[0]!.id } };
  },
  dictionary: async () => Promise.resolve({ params: { language: 'cy' } }),
  makeGlossary: async () =>
    Promise.resolve({
      body: { name: name(), language: 'en-GB', kindsOfWork: [], priority: 1, careful: false },
    }),
  saveGlossary: async () => ({
    params: { glossary: await glossary() },
    body: { name: name(), language: 'en-GB', kindsOfWork: [], priority: 1, careful: false },
    version: 1,
  }),
  dropGlossary: async () => ({ params: { glossary: await glossary() }, version: 1 }),
  terms: async () => ({ params: { glossary: await glossary(), version: '1' } }),
  importTerms: async () => ({
    params: { glossary: await glossary() },
    body: { terms: 'newt', replace: false },
  }),
  keepTerm: async () => ({
    params: { glossary: await glossary() },
    body: { text: 'newt', cue: '', weight: 0, note: '' },
  }),
  dropTerm: async () => {
    const id = await glossary();
    await world.imke.post(`/api/glossaries/${id}/terms`).send({ text: 'newt', cue: '', weight: 0, note: '' });
    return { params: { glossary: id, term: 'newt' } };
  },
  countUses: async () => Promise.resolve({ body: { day: '2026-11-24', kind: 'admission', uses: [] } }),
  savePreferences: async () => Promise.resolve({ body: DEFAULT_PREFERENCES }),
};
