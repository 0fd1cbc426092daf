import type { Asked, PageBeginning, Question, Questions, Sources, Status } from '../messages';
import { entryToFill, findEntries, listBank, patternIn } from './bankAnswers';
import { entryFile } from './entryFile';
import { joinBy, leaveJoined } from './joining';
import { keepWords, openWith } from './keepWords';
import { recordOfOpenCase, titleOfOpenCase } from './openCase';
import { offersFor } from './offers';
import { beginIn, isLookedAt, pageStatus, registerPages } from './pages';
import { lastTrouble, renew } from './renew';
import { changePage, joined, offersWanted, pageSettings, readManaged, wantOffers } from './settings';
import { part, waitingUses } from './store';
import { tellPages } from './tellPages';
import { countUse } from './uses';

/** The bank is asked for what changed so often, in minutes. */
const EVERY_MINUTES = 1;
const ALARM = 'renew';

async function pageBeginning(host: string): Promise<PageBeginning | null> {
  const cues = await part('cues');
  if (!cues || !(await isLookedAt(host))) return null;
  const { form, boxes } = await pageSettings(host);
  return { form, cues, boxes, offers: await offersWanted() };
}

async function status(tab: number | null): Promise<Status> {
  const [to, head, cues, renewedAt] = [
    await joined(),
    await part('head'),
    await part('cues'),
    await part('renewedAt'),
  ];
  const beginning = await part('beginning');
  return {
    joined: to && { address: to.address, member: to.member, name: to.name },
    entries: head?.size ?? 0,
    cues: cues ? cues.typed.length + cues.keys.length : 0,
    renewedAt: renewedAt ?? null,
    waiting: (await waitingUses()).length,
    trouble: lastTrouble(),
    offers: await offersWanted(),
    isOwner: beginning?.member.role === 'owner',
    page: await pageStatus(tab),
  };
}

async function sourcesAt(host: string): Promise<Sources> {
  const cards = (await part('beginning'))?.pageCards ?? [];
  return { openCase: await titleOfOpenCase(), card: cards.find((card) => card.host === host) ?? null };
}

/** Has an owner show where details stand on the page of a tab. */
const beginPointing = (tab: number) =>
  chrome.scripting.executeScript({ target: { tabId: tab }, files: ['point.js'] });

type Sender = chrome.runtime.MessageSender;
type Handlers = {
  [Q in Question]: (given: Questions[Q]['with'], sender: Sender) => Promise<Questions[Q]['gives']>;
};

/** Draws the slip in the frame that asks for it: what it takes is not in a page before. */
async function bringSlip({ tab, frameId }: Sender): Promise<boolean> {
  if (tab?.id === undefined) return false;
  await chrome.scripting.executeScript({
    target: { tabId: tab.id, frameIds: [frameId ?? 0] },
    files: ['slip.js'],
  });
  return true;
}

const nothing = async (done: Promise<unknown>): Promise<null> => {
  await done;
  return null;
};
const thenTell = (done: Promise<unknown>) => nothing(done.then(tellPages));

const HANDLERS: Handlers = {
  'begin-page': ({ host }) => pageBeginning(host),
  entry: ({ entry, address }) => entryToFill(entry, address),
  pattern: ({ line, closer }) => patternIn(line, closer),
  slip: (_, sender) => bringSlip(sender),
  used: ({ use }) => nothing(countUse(use)),
  offers: ({ leadIn, words }) => offersFor(leadIn, words),
  'entry-file': (wanted) => entryFile(wanted),
  'switch-offers': ({ on }) => thenTell(wantOffers(on)),
  find: ({ words }) => findEntries(words),
  list: () => listBank(),
  sources: ({ host }) => sourcesAt(host),
  'open-case': () => recordOfOpenCase(),
  point: ({ tab }) => nothing(beginPointing(tab)),
  taught: (card) => openWith('/other-pages', 'taught', JSON.stringify(card)),
  'remember-box': ({ host, part: of, box }) =>
    thenTell(changePage(host, (page) => ({ ...page, boxes: { ...page.boxes, [of]: box } }))),
  'keep-words': ({ words }) => keepWords(words),
  'switch-page': ({ host, on }) => thenTell(changePage(host, (page) => ({ ...page, isOff: !on }))),
  'form-of-page': ({ host, form }) => thenTell(changePage(host, (page) => ({ ...page, form }))),
  'forget-boxes': ({ host }) => thenTell(changePage(host, (page) => ({ ...page, boxes: {} }))),
  status: ({ tab }) => status(tab),
  join: async ({ address, code, name }) => {
    const trouble = await joinBy(address, code, name);
    return { trouble };
  },
  leave: () => nothing(leaveJoined()),
  renew: () => nothing(renew()),
  'page-granted': ({ tab }) => nothing(registerPages().then(() => beginIn(tab))),
};

chrome.runtime.onMessage.addListener((asked: Asked, sender, answer) => {
  // Pages have no way to ask; other extensions are not answered.
  if (sender.id !== chrome.runtime.id) return false;
  const handler = HANDLERS[asked.ask] as (given: Asked, sender: Sender) => Promise<unknown>;
  handler(asked, sender).then(answer, () => answer(null));
  return true;
});

chrome.alarms.onAlarm.addListener(({ name }) => {
  if (name === ALARM) void renew();
});
chrome.permissions.onAdded.addListener(() => void registerPages());
chrome.permissions.onRemoved.addListener(() => void registerPages());
chrome.runtime.onStartup.addListener(() => void renew());
chrome.runtime.onInstalled.addListener(() => {
  chrome.contextMenus.create({ id: 'keep', title: 'Keep this in Elderleaf', contexts: ['selection'] });
  void registerPages();
});
chrome.contextMenus.onClicked.addListener(({ selectionText }) => {
  if (selectionText) void keepWords(selectionText);
});
void readManaged().then((isOther) => (isOther ? tellPages() : undefined));
chrome.storage.onChanged.addListener((_, area) => {
  if (area === 'managed') void readManaged().then(tellPages);
});
// Wakes no more often than a minute, and only while this browser is open.
void chrome.alarms.create(ALARM, { periodInMinutes: EVERY_MINUTES });
