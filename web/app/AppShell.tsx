import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import {
  NavLink,
  Navigate,
  Outlet,
  useLocation,
  useNavigate,
  useNavigationType,
  NavigationType,
} from 'react-router';
import { ChevronDown, Search } from 'lucide-react';
import type { Member } from '#contracts';
import { DoneElsewhere } from '../acts';
import { settleSignOut, useBank, usePreferences, useSession, useLiveEvents } from '../api';
import { FinderPanel } from '../finder';
import { NEWEST } from '../news';
import { ownComputer } from '#client/atHand';
import { ownTab } from '#client/kept';
import { NotReached, useSendingWaiting, useSignOut } from '../withoutServer';
import { Button, Failed, Key, Loading, Menu } from '../ui';
import {
  goingTo,
  liveKeys,
  Mark,
  useKeyListener,
  useLiveKeys,
  ShellContext,
  type Shell as ShellValue,
  switchTheme,
  useKeysKept,
  useKeysOnScreen,
  useScreenTitle,
} from '../shell';
import { MainLine, SecondLine } from './HeadLines';
import { LOOKED_UP, screenAt, SCREENS } from './screens';

/** What every screen has around it. */
const AROUND = { finder: <FinderPanel />, doneElsewhere: <DoneElsewhere /> };

const NO_SCREEN: ShellValue['screen'] = { place: null, actions: [] };

const HEAD =
  'mx-auto flex max-w-(--page-width) items-center gap-6 px-7 py-3 max-[899px]:gap-4 max-[899px]:px-3 max-[599px]:flex-wrap max-[599px]:gap-y-1';

const Brand = () => (
  <NavLink
    to="/"
    className="flex items-center gap-2 font-book text-[19px] font-semibold text-elder max-[480px]:hidden"
  >
    <Mark />
    Elderleaf
  </NavLink>
);

/** The frame of the page with nothing in it: painted before it is known who looks at it, and what. */
export const Frame = ({ children }: { children?: ReactNode }) => (
  <>
    <header className={HEAD}>
      <Brand />
    </header>
    {children}
  </>
);

const NewsDot = () => (
  <span title="Something is new" className="ml-1.5 inline-block size-2 rounded-full bg-leaf align-middle">
    <span className="sr-only">, something is new</span>
  </span>
);

interface HeadProps {
  member: Member;
  openFinder: () => void;
  signOut: () => void;
}

function Head({ member, openFinder, signOut }: HeadProps) {
  const navigate = useNavigate();
  const seen = usePreferences().data?.newsSeen;
  // Who has never looked is new here: all is new to them, and nothing needs saying.
  const isNews = seen !== undefined && seen < NEWEST;
  return (
    <header data-print="no" className={HEAD}>
      <a href="#leaf" className="sr-only focus:not-sr-only">
        Skip to the leaf
      </a>
      <Brand />
      <MainLine />
      <div className="ml-auto flex items-center gap-4 text-[14px]">
        <Button onClick={openFinder} aria-keyshortcuts="F2 Alt+A">
          <Search size={14} aria-hidden /> Look up <Key>F2</Key>
        </Button>
        <Menu
          trigger={
            <Button>
              {member.name}
              {isNews && <NewsDot />}
              <ChevronDown size={14} aria-hidden />
            </Button>
          }
          items={[
            ...SCREENS.flatMap(({ menu, paths: [to] }) =>
              menu ? [{ label: menu, onSelect: () => void navigate(to) }] : [],
            ),
            { label: 'Dark theme', onSelect: switchTheme },
            { label: 'Sign out', onSelect: signOut },
          ]}
        />
      </div>
    </header>
  );
}

function SignedIn({ member }: { member: Member }) {
  // Before anything reads what the tab and the computer keep.
  useState(() => {
    settleSignOut();
    ownTab(member.id);
    void ownComputer(member);
  });
  // The finder belongs to the address it was opened at: going elsewhere closes it.
  const [finderAt, setFinderAt] = useState<string | null>(null);
  const [screen, setScreen] = useState(NO_SCREEN);
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const finderOpen = finderAt === pathname;
  // Asked for while another screen is on its way, it opens there.
  const setFinderOpen = useCallback((open: boolean) => setFinderAt(open ? goingTo().pathname : null), []);
  const isBack = useNavigationType() === NavigationType.Pop;
  // A new screen begins at its head; going back, the browser finds the old place itself.
  useEffect(() => {
    if (!isBack) window.scrollTo(0, 0);
  }, [pathname, isBack]);
  useLiveEvents(member.id);
  useSendingWaiting(member.id);
  const signOut = useSignOut(member.id);
  useKeyListener();
  useScreenTitle();
  useKeysOnScreen(pathname);
  // Asked for on every screen, so that it is there when the leaf is opened.
  useBank();
  const showKeys = () => {
    const here = liveKeys().map(({ key, does }) => [key, does] as const);
    void navigate('/keys', { state: { here } });
  };
  useLiveKeys([
    { key: 'F2', does: 'Find wording, go anywhere', run: () => setFinderOpen(!finderOpen) },
    { key: '?', does: 'Show the keys', run: showKeys },
  ]);
  const value = useMemo(
    () => ({ member, finderOpen, setFinderOpen, screen, setScreen, places: LOOKED_UP, ...AROUND }),
    [member, finderOpen, setFinderOpen, screen],
  );
  return (
    <ShellContext.Provider value={value}>
      {!screenAt(pathname)?.ownFrame && (
        <>
          <Head member={member} openFinder={() => setFinderOpen(true)} signOut={signOut.run} />
          {signOut.asked}
          <SecondLine />
        </>
      )}
      <NotReached member={member.id} />
      <Outlet />
    </ShellContext.Provider>
  );
}

/** The frame of every screen for someone signed in: the head line, live keys, live events, the finder. */
export function AppShell() {
  const session = useSession();
  const location = useLocation();
  useKeysKept();
  if (session.isPending)
    return (
      <Frame>
        <Loading what="your desk" />
      </Frame>
    );
  if (session.isError)
    return <Failed what="your session" error={session.error} retry={() => void session.refetch()} />;
  if (!session.data) return <Navigate to="/sign-in" replace state={{ from: location.pathname }} />;
  return <SignedIn member={session.data} />;
}
