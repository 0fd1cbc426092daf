import type { ComponentType } from 'react';
import { matchPath } from 'react-router';
import type { Place } from './places';

type LoadedScreen = { Component: ComponentType };

/** A screen: where it is, what draws it, and what it is called where it can be gone to. */
export interface Screen {
  /** Its addresses, as the router writes them. */
  paths: readonly [string, ...string[]];
  /** Fetches the script that draws it: each screen loads on its own. */
  load: () => Promise<LoadedScreen>;
  /** Whether it stands by itself, for who is not signed in. */
  bare?: true;
  /** Whether it stands in a frame of its own, without the head line: it is for small windows. */
  ownFrame?: true;
  /** Whether it is fetched before others once the page is idle, since most go there. */
  early?: true;
  /** Which place of the head line is marked on it; none on what is one's own, which the menu of one's name leads to. */
  place?: Place;
  /** The line of its place that is marked on it. */
  line?: string;
  /** Its line in the look-up. */
  lookUp?: string;
  /** What it is called in the menu of one's own name. */
  menu?: string;
}

/** All screens, in the order of the look-up. A new one is a line here. */
export const SCREENS: readonly Screen[] = [
  {
    paths: ['/sign-in'],
    bare: true,
    load: () => import('../account/SignIn').then(({ SignIn: Component }) => ({ Component })),
  },
  {
    paths: ['/join'],
    bare: true,
    load: () => import('../account/JoinPage').then(({ JoinPage: Component }) => ({ Component })),
  },
  {
    paths: ['/new-password'],
    bare: true,
    load: () =>
      import('../account/NewPasswordPage').then(({ NewPasswordPage: Component }) => ({ Component })),
  },
  {
    paths: ['/cases/:case', '/cases/:case/leaves/:draft'],
    place: 'desk',
    early: true,
    load: () => import('../work/CasePage').then(({ CasePage: Component }) => ({ Component })),
  },
  {
    paths: ['/assignments/new'],
    place: 'desk',
    lookUp: 'New assignment',
    load: () =>
      import('../work/feedback/assignment/AssignmentPage').then(({ NewAssignmentPage: Component }) => ({
        Component,
      })),
  },
  {
    paths: ['/assignments/:assignment'],
    place: 'desk',
    load: () =>
      import('../work/feedback/assignment/AssignmentPage').then(({ AssignmentPage: Component }) => ({
        Component,
      })),
  },
  {
    paths: ['/bank'],
    place: 'bank',
    line: '/bank',
    early: true,
    lookUp: 'Open the bank',
    load: () => import('../sheet/Sheet').then(({ Sheet: Component }) => ({ Component })),
  },
  {
    paths: ['/cues'],
    place: 'bank',
    line: '/cues',
    lookUp: 'Open the cues',
    load: () => import('../cues/CuesPage').then(({ CuesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/glossaries'],
    place: 'bank',
    line: '/glossaries',
    lookUp: 'Open the glossaries',
    load: () =>
      import('../glossaries/GlossariesPage').then(({ GlossariesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/proposals'],
    place: 'team',
    line: '/proposals',
    lookUp: 'Open the proposals',
    load: () => import('../proposals/ProposalsPage').then(({ ProposalsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/nearest'],
    place: 'bank',
    line: '/bank',
    lookUp: 'Find wording for a message',
    load: () => import('../sheet/NearestPage').then(({ NearestPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order'],
    place: 'bank',
    line: '/order',
    lookUp: 'Tidy the bank',
    load: () => import('../order/OrderPage').then(({ OrderPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order/term'],
    place: 'bank',
    line: '/order',
    lookUp: 'Change a term everywhere',
    load: () => import('../terms/TermPage').then(({ TermPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order/words'],
    place: 'bank',
    line: '/order',
    lookUp: 'House style',
    load: () => import('../terms/HouseWordsPage').then(({ HouseWordsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order/ageing'],
    place: 'bank',
    line: '/order',
    lookUp: 'Due for review',
    load: () => import('../reviews/AgeingPage').then(({ AgeingPage: Component }) => ({ Component })),
  },
  {
    paths: ['/practice'],
    place: 'bank',
    line: '/cues',
    lookUp: 'Practise cues',
    load: () => import('../practice/PracticePage').then(({ PracticePage: Component }) => ({ Component })),
  },
  {
    paths: ['/account'],
    lookUp: 'Your account',
    menu: 'Your account',
    load: () => import('../people/AccountPage').then(({ AccountPage: Component }) => ({ Component })),
  },
  {
    paths: ['/this-computer'],
    lookUp: 'This computer: what is saved on it',
    menu: 'This computer',
    load: () =>
      import('../withoutServer/ThisComputerPage').then(({ ThisComputerPage: Component }) => ({ Component })),
  },
  {
    paths: ['/usage'],
    place: 'bank',
    line: '/usage',
    lookUp: 'Usage',
    load: () => import('../usage/UsagePage').then(({ UsagePage: Component }) => ({ Component })),
  },
  {
    paths: ['/wastebasket'],
    lookUp: 'Open the wastebasket',
    menu: 'Wastebasket',
    load: () =>
      import('../wastebasket/WastebasketPage').then(({ WastebasketPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/rows'],
    place: 'bank',
    line: '/bank',
    lookUp: 'Add entries row by row',
    load: () => import('../sheet/rows/RowsPage').then(({ RowsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/bring-in'],
    place: 'bank',
    line: '/bank',
    lookUp: 'Bring in a file',
    load: () => import('../takeover/BringInPage').then(({ BringInPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/shelf'],
    place: 'bank',
    line: '/bank',
    lookUp: 'Starter collections',
    load: () => import('../shelf/ShelfPage').then(({ ShelfPage: Component }) => ({ Component })),
  },
  {
    paths: ['/beginning'],
    place: 'team',
    line: '/people',
    lookUp: 'Set up the team',
    load: () => import('../beginning/BeginningPage').then(({ BeginningPage: Component }) => ({ Component })),
  },
  {
    paths: ['/people'],
    place: 'team',
    line: '/people',
    lookUp: 'People',
    load: () => import('../people/PeoplePage').then(({ PeoplePage: Component }) => ({ Component })),
  },
  {
    paths: ['/record-rules'],
    place: 'team',
    line: '/record-rules',
    lookUp: 'Rules for records: care due, usual values',
    load: () =>
      import('../recordRules/RecordRulesPage').then(({ RecordRulesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/other-pages'],
    place: 'team',
    line: '/other-pages',
    lookUp: 'Other pages: the companion, pages left alone',
    load: () =>
      import('../otherPages/OtherPagesPage').then(({ OtherPagesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/backups'],
    place: 'team',
    line: '/backups',
    lookUp: 'Backups',
    load: () => import('../backups/BackupsPage').then(({ BackupsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/backups/:backup'],
    place: 'team',
    line: '/backups',
    load: () => import('../backups/PartsPage').then(({ PartsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/trail'],
    place: 'team',
    line: '/trail',
    load: () => import('../people/TrailPage').then(({ TrailPage: Component }) => ({ Component })),
  },
  {
    paths: ['/'],
    place: 'desk',
    lookUp: 'Go to the desk',
    load: () => import('../desk/Desk').then(({ Desk: Component }) => ({ Component })),
  },
  {
    paths: ['/news'],
    lookUp: 'News',
    menu: 'News',
    load: () => import('../news/NewsPage').then(({ NewsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/keys'],
    lookUp: 'Show the keys',
    menu: 'Keys',
    load: () => import('../keys/KeysPage').then(({ KeysPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/:entry'],
    place: 'bank',
    line: '/bank',
    early: true,
    load: () => import('../entry/EntryPage').then(({ EntryPage: Component }) => ({ Component })),
  },
  {
    paths: ['/collections/:collection'],
    place: 'bank',
    line: '/bank',
    load: () =>
      import('../collections/CollectionPage').then(({ CollectionPage: Component }) => ({ Component })),
  },
  {
    paths: ['/glossaries/:glossary'],
    place: 'bank',
    line: '/glossaries',
    load: () => import('../glossaries/GlossaryPage').then(({ GlossaryPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/print'],
    place: 'bank',
    line: '/bank',
    load: () => import('../sheet/PrintPage').then(({ PrintPage: Component }) => ({ Component })),
  },
  {
    paths: ['/queue'],
    place: 'desk',
    lookUp: 'Queue of enquiries',
    load: () => import('../work/reply/queue/QueuePage').then(({ QueuePage: Component }) => ({ Component })),
  },
  {
    paths: ['/outbox'],
    place: 'desk',
    lookUp: 'Outbox',
    menu: 'Outbox',
    load: () =>
      import('../work/reply/outbox/OutboxPage').then(({ OutboxPage: Component }) => ({ Component })),
  },
  {
    paths: ['/pocket'],
    ownFrame: true,
    lookUp: 'Pocket: a small window beside other programs',
    menu: 'Pocket',
    load: () => import('../pocket/PocketPage').then(({ PocketPage: Component }) => ({ Component })),
  },
  {
    paths: ['/pedal'],
    lookUp: 'On-screen pedal',
    load: () =>
      import('../work/transcript/StandInPedal').then(({ StandInPedal: Component }) => ({ Component })),
  },
  {
    paths: ['/post'],
    place: 'team',
    line: '/people',
    load: () => import('../people/PostRoomPage').then(({ PostRoomPage: Component }) => ({ Component })),
  },
];

/** What the look-up can go to, in its order. */
export const LOOKED_UP = SCREENS.flatMap(({ lookUp, paths: [to] }) =>
  lookUp ? [{ label: lookUp, to }] : [],
);

/** The screen at an address: of several that fit, the one with the fewest parts left open. */
export function screenAt(pathname: string): Screen | undefined {
  const open = ({ paths }: Screen) => Math.min(...paths.map((path) => path.split(':').length));
  return SCREENS.filter(({ paths }) => paths.some((path) => matchPath(path, pathname))).sort(
    (one, other) => open(one) - open(other),
  )[0];
}
