import { useEffect, useState } from 'react';
import { ask } from '../messages';
import { managed } from '../background/settings';
import { NO_ADDRESS, originOf, patternOf } from '../originOf';

const systemInWords = (): string => {
  const agent = navigator.userAgent;
  const browser = ['Firefox', 'Edg', 'Chrome'].find((name) => agent.includes(name)) ?? 'Browser';
  const system = ['Windows', 'Mac OS', 'CrOS', 'Linux'].find((name) => agent.includes(name)) ?? '';
  return `${browser === 'Edg' ? 'Edge' : browser}${system && ` on ${system}`}`;
};

/** The address and the code of the page in front, where that is the page of Elderleaf that shows a code. */
async function fromPage(tab: number | null): Promise<{ address: string; code: string } | null> {
  if (tab === null) return null;
  try {
    const [found] = await chrome.scripting.executeScript({
      target: { tabId: tab },
      func: () => ({
        address: location.origin,
        code: document.querySelector('[data-browser-code]')?.textContent ?? '',
      }),
    });
    const read = found?.result;
    return read && read.code !== '' ? read : null;
  } catch {
    return null;
  }
}

/** What is typed to join, filled in where it is known, and joining by it. */
function useJoining(tab: number | null, done: () => Promise<void>) {
  const [typed, setTyped] = useState(() => ({ address: '', code: '', name: systemInWords() }));
  const [said, say] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  /** What the browser allows already: the address, or null. */
  const [granted, setGranted] = useState<string | null>(null);
  const set = (change: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...change }));
  useEffect(() => {
    void managed().then(({ address }) => address && set({ address }));
    void fromPage(tab).then((found) => found && set(found));
  }, [tab]);
  useEffect(() => {
    const origin = originOf(typed.address);
    if (!origin) return;
    void chrome.permissions
      .contains({ origins: [patternOf(origin)] })
      .then((isGranted) => setGranted(isGranted ? origin : null));
  }, [typed.address]);
  /** Gives what hindered it; null when it is joined. */
  const tryJoining = async (): Promise<string | null> => {
    const origin = originOf(typed.address);
    if (!origin) return NO_ADDRESS;
    // Asked at once, while the click counts: a browser asks its user no later.
    const isAllowed =
      granted === origin || (await chrome.permissions.request({ origins: [patternOf(origin)] }));
    if (!isAllowed)
      return 'Elderleaf was not allowed. Nothing was joined; press Join again to be asked once more.';
    return (await ask('join', typed))?.trouble ?? null;
  };
  const join = async () => {
    setBusy(true);
    const trouble = await tryJoining().catch(
      () => 'The browser could not ask for it. Nothing was joined; press Join again.',
    );
    setBusy(false);
    say(trouble);
    if (!trouble) await done();
  };
  return { typed, set, said, isBusy, join };
}

/** What joins this browser: the address of Elderleaf, the code that the account shows, and what the browser is called. */
export function JoinForm({ tab, done }: { tab: number | null; done: () => Promise<void> }) {
  const { typed, set, said, isBusy, join } = useJoining(tab, done);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void join();
      }}
    >
      <p className="soft">
        In Elderleaf open <b>Your account</b>, then <b>Join a browser</b>. It shows a code.
      </p>
      <label>
        Address of Elderleaf
        <input
          value={typed.address}
          onChange={({ target }) => set({ address: target.value })}
          placeholder="elderleaf.school.example"
          required
        />
      </label>
      <label>
        Code
        <input
          id="code"
          value={typed.code}
          onChange={({ target }) => set({ code: target.value })}
          autoComplete="off"
          required
        />
      </label>
      <label>
        Name of this browser
        <input
          value={typed.name}
          onChange={({ target }) => set({ name: target.value })}
          maxLength={60}
          required
        />
      </label>
      {said && (
        <p role="alert" className="problem">
          {said}
        </p>
      )}
      <button type="submit" className="main" disabled={isBusy}>
        {isBusy ? 'Joining …' : 'Join'}
      </button>
    </form>
  );
}
