import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { queryClient } from './api/queries';
import { fetchAhead } from './shell/fetchAhead';
import { NothingHere } from './shell/NothingHere';
import { Frame, Shell } from './shell/Shell';
import { followTheme } from './shell/theme';
import './look/styles.css';

followTheme();

const SCREENS = {
  signIn: () => import('./account/SignIn').then(({ SignIn: Component }) => ({ Component })),
  join: () => import('./account/JoinPage').then(({ JoinPage: Component }) => ({ Component })),
  newPassword: () =>
    import('./account/NewPasswordPage').then(({ NewPasswordPage: Component }) => ({ Component })),
  desk: () => import('./desk/Desk').then(({ Desk: Component }) => ({ Component })),
  leaf: () => import('./leaf/LeafPage').then(({ LeafPage: Component }) => ({ Component })),
  sheet: () => import('./bank/sheet/Sheet').then(({ Sheet: Component }) => ({ Component })),
  rows: () => import('./bank/rows/RowsPage').then(({ RowsPage: Component }) => ({ Component })),
  takeOver: () => import('./takeover/TakeOverPage').then(({ TakeOverPage: Component }) => ({ Component })),
  nearest: () => import('./bank/NearestPage').then(({ NearestPage: Component }) => ({ Component })),
  entry: () => import('./bank/EntryPage').then(({ EntryPage: Component }) => ({ Component })),
  collection: () =>
    import('./collections/CollectionPage').then(({ CollectionPage: Component }) => ({ Component })),
  proposals: () =>
    import('./proposals/ProposalsPage').then(({ ProposalsPage: Component }) => ({ Component })),
  cues: () => import('./cues/CuesPage').then(({ CuesPage: Component }) => ({ Component })),
  glossaries: () =>
    import('./glossaries/GlossariesPage').then(({ GlossariesPage: Component }) => ({ Component })),
  glossary: () => import('./glossaries/GlossaryPage').then(({ GlossaryPage: Component }) => ({ Component })),
  order: () => import('./order/OrderPage').then(({ OrderPage: Component }) => ({ Component })),
  term: () => import('./order/TermPage').then(({ TermPage: Component }) => ({ Component })),
  houseWords: () => import('./order/HouseWordsPage').then(({ HouseWordsPage: Component }) => ({ Component })),
  ageing: () => import('./order/AgeingPage').then(({ AgeingPage: Component }) => ({ Component })),
  print: () => import('./bank/sheet/PrintPage').then(({ PrintPage: Component }) => ({ Component })),
  practice: () => import('./practice/PracticePage').then(({ PracticePage: Component }) => ({ Component })),
  usage: () => import('./usage/UsagePage').then(({ UsagePage: Component }) => ({ Component })),
  wastebasket: () =>
    import('./wastebasket/WastebasketPage').then(({ WastebasketPage: Component }) => ({ Component })),
  people: () => import('./people/PeoplePage').then(({ PeoplePage: Component }) => ({ Component })),
  account: () => import('./people/AccountPage').then(({ AccountPage: Component }) => ({ Component })),
  postRoom: () => import('./people/PostRoomPage').then(({ PostRoomPage: Component }) => ({ Component })),
  trail: () => import('./people/TrailPage').then(({ TrailPage: Component }) => ({ Component })),
  news: () => import('./news/NewsPage').then(({ NewsPage: Component }) => ({ Component })),
  keys: () => import('./keys/KeysPage').then(({ KeysPage: Component }) => ({ Component })),
};

// Nothing, or the frame alone, until a screen's script is there; each screen then shows its own fetching.
const HydrateFallback = () => null;

/** Each screen loads on its own, so that the first is there at once. */
const router = createBrowserRouter([
  { path: '/join', HydrateFallback, lazy: SCREENS.join },
  { path: '/new-password', HydrateFallback, lazy: SCREENS.newPassword },
  { path: '/sign-in', HydrateFallback, lazy: SCREENS.signIn },
  {
    element: <Shell />,
    errorElement: <NothingHere />,
    HydrateFallback: Frame,
    children: [
      { index: true, lazy: SCREENS.desk },
      { path: 'cases/:case', lazy: SCREENS.leaf },
      { path: 'cases/:case/leaves/:draft', lazy: SCREENS.leaf },
      { path: 'bank', lazy: SCREENS.sheet },
      { path: 'bank/rows', lazy: SCREENS.rows },
      { path: 'bank/take-over', lazy: SCREENS.takeOver },
      { path: 'bank/print', lazy: SCREENS.print },
      { path: 'bank/nearest', lazy: SCREENS.nearest },
      { path: 'bank/:entry', lazy: SCREENS.entry },
      { path: 'collections/:collection', lazy: SCREENS.collection },
      { path: 'proposals', lazy: SCREENS.proposals },
      { path: 'cues', lazy: SCREENS.cues },
      { path: 'glossaries', lazy: SCREENS.glossaries },
      { path: 'glossaries/:glossary', lazy: SCREENS.glossary },
      { path: 'order', lazy: SCREENS.order },
      { path: 'order/term', lazy: SCREENS.term },
      { path: 'order/words', lazy: SCREENS.houseWords },
      { path: 'order/ageing', lazy: SCREENS.ageing },
      { path: 'practice', lazy: SCREENS.practice },
      { path: 'usage', lazy: SCREENS.usage },
      { path: 'wastebasket', lazy: SCREENS.wastebasket },
      { path: 'people', lazy: SCREENS.people },
      { path: 'account', lazy: SCREENS.account },
      { path: 'post', lazy: SCREENS.postRoom },
      { path: 'trail', lazy: SCREENS.trail },
      { path: 'keys', lazy: SCREENS.keys },
      { path: 'news', lazy: SCREENS.news },
      { path: '*', element: <NothingHere /> },
    ],
  },
]);

window.addEventListener('load', () => {
  const { leaf, sheet, entry, ...others } = SCREENS;
  void fetchAhead(
    [leaf, sheet, entry, ...Object.values(others)],
    () => queryClient.isFetching() > 0 || !router.state.initialized,
  );
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
