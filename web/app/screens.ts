import type { ComponentType } from 'react';
import type { Member } from '#contracts';

type LoadedScreen = { Component: ComponentType };

/** A screen: where it is, what draws it, and what it is called where it can be gone to. */
export interface Screen {
  /** Its addresses, as the router writes them. */
  paths: readonly [string, ...string[]];
  /** Fetches the script that draws it: each screen loads on its own. */
  load: () => Promise<LoadedScreen>;
  /** Whether it stands by itself, for who is not signed in. */
  bare?: true;
  /** Whether it is fetched before others once the page is idle, since most go there. */
  early?: true;
  /** Its line in the look-up. */
  lookUp?: string;
  /** Its line in one's own menu, and who has it there. */
  menu?: { label: string; for?: Member['role'] };
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
    early: true,
    load: () => import('../work/CasePage').then(({ CasePage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank'],
    early: true,
    lookUp: 'Open the bank',
    load: () => import('../sheet/Sheet').then(({ Sheet: Component }) => ({ Component })),
  },
  {
    paths: ['/cues'],
    lookUp: 'Open the cues',
    load: () => import('../cues/CuesPage').then(({ CuesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/glossaries'],
    lookUp: 'Open the glossaries',
    load: () =>
      import('../glossaries/GlossariesPage').then(({ GlossariesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/proposals'],
    lookUp: 'Open the proposals',
    load: () => import('../proposals/ProposalsPage').then(({ ProposalsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/nearest'],
    lookUp: 'Find wording for a message',
    load: () => import('../sheet/NearestPage').then(({ NearestPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order'],
    lookUp: 'Tidy the bank',
    load: () => import('../order/OrderPage').then(({ OrderPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order/term'],
    lookUp: 'Change a term everywhere',
    load: () => import('../terms/TermPage').then(({ TermPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order/words'],
    lookUp: 'House style',
    load: () => import('../terms/HouseWordsPage').then(({ HouseWordsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/order/ageing'],
    lookUp: 'Due for review',
    load: () => import('../reviews/AgeingPage').then(({ AgeingPage: Component }) => ({ Component })),
  },
  {
    paths: ['/practice'],
    lookUp: 'Practise cues',
    load: () => import('../practice/PracticePage').then(({ PracticePage: Component }) => ({ Component })),
  },
  {
    paths: ['/account'],
    lookUp: 'Your account',
    menu: { label: 'Your account' },
    load: () => import('../people/AccountPage').then(({ AccountPage: Component }) => ({ Component })),
  },
  {
    paths: ['/usage'],
    lookUp: 'Usage',
    menu: { label: 'Usage' },
    load: () => import('../usage/UsagePage').then(({ UsagePage: Component }) => ({ Component })),
  },
  {
    paths: ['/wastebasket'],
    lookUp: 'Open the wastebasket',
    menu: { label: 'Wastebasket' },
    load: () =>
      import('../wastebasket/WastebasketPage').then(({ WastebasketPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/rows'],
    lookUp: 'Add entries row by row',
    load: () => import('../sheet/rows/RowsPage').then(({ RowsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/take-over'],
    lookUp: 'Bring in a collection',
    load: () => import('../takeover/TakeOverPage').then(({ TakeOverPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/shelf'],
    lookUp: 'Starter collections',
    load: () => import('../shelf/ShelfPage').then(({ ShelfPage: Component }) => ({ Component })),
  },
  {
    paths: ['/beginning'],
    lookUp: 'Set up the team',
    load: () => import('../beginning/BeginningPage').then(({ BeginningPage: Component }) => ({ Component })),
  },
  {
    paths: ['/people'],
    lookUp: 'People',
    menu: { label: 'People' },
    load: () => import('../people/PeoplePage').then(({ PeoplePage: Component }) => ({ Component })),
  },
  {
    paths: ['/record-rules'],
    lookUp: 'Rules for records: care due, usual values',
    menu: { label: 'Rules for records', for: 'owner' },
    load: () =>
      import('../recordRules/RecordRulesPage').then(({ RecordRulesPage: Component }) => ({ Component })),
  },
  {
    paths: ['/trail'],
    menu: { label: 'Trail', for: 'owner' },
    load: () => import('../people/TrailPage').then(({ TrailPage: Component }) => ({ Component })),
  },
  {
    paths: ['/'],
    lookUp: 'Go to the desk',
    load: () => import('../desk/Desk').then(({ Desk: Component }) => ({ Component })),
  },
  {
    paths: ['/news'],
    lookUp: 'News',
    menu: { label: 'News' },
    load: () => import('../news/NewsPage').then(({ NewsPage: Component }) => ({ Component })),
  },
  {
    paths: ['/keys'],
    lookUp: 'Show the keys',
    menu: { label: 'Keys' },
    load: () => import('../keys/KeysPage').then(({ KeysPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/:entry'],
    early: true,
    load: () => import('../entry/EntryPage').then(({ EntryPage: Component }) => ({ Component })),
  },
  {
    paths: ['/collections/:collection'],
    load: () =>
      import('../collections/CollectionPage').then(({ CollectionPage: Component }) => ({ Component })),
  },
  {
    paths: ['/glossaries/:glossary'],
    load: () => import('../glossaries/GlossaryPage').then(({ GlossaryPage: Component }) => ({ Component })),
  },
  {
    paths: ['/bank/print'],
    load: () => import('../sheet/PrintPage').then(({ PrintPage: Component }) => ({ Component })),
  },
  {
    paths: ['/post'],
    load: () => import('../people/PostRoomPage').then(({ PostRoomPage: Component }) => ({ Component })),
  },
];

/** What the look-up can go to, in its order. */
export const LOOKED_UP = SCREENS.flatMap(({ lookUp, paths: [to] }) =>
  lookUp ? [{ label: lookUp, to }] : [],
);
