import { useEffect, useState } from 'react';
import { ask } from '../messages';
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

/** What joins this browser: the address of Elderleaf, the code that the account shows, and what the browser is called. */
export function JoinForm({ tab, done }: { tab: number | null; done: () => Promise<void> }) {
  const [address, setAddress] = useState('');
  const [code, setCode] = useState('');
  const [name, setName] = useState(systemInWords);
  const [said, say] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  useEffect(() => {
    void chrome.storage.managed
      .get('address')
      .then(({ address: set }: { address?: unknown }) => {
        if (typeof set === 'string') setAddress(set);
      })
      .catch(() => undefined);
    void fromPage(tab).then((found) => {
      if (!found) return;
      setAddress(found.address);
      setCode(found.code);
    });
  }, [tab]);
  const [isGranted, setGranted] = useState(false);
  useEffect(() => {
    const origin = originOf(address);
    if (!origin) return setGranted(false);
    void chrome.permissions.contains({ origins: [patternOf(origin)] }).then(setGranted);
  }, [address]);
  const join = async () => {
    setBusy(true);
    say(null);
    try {
      const origin = originOf(address);
      if (!origin) return say(NO_ADDRESS);
      // Asked at once, while the click counts: a browser asks its user no later.
      const isAllowed = isGranted || (await chrome.permissions.request({ origins: [patternOf(origin)] }));
      if (!isAllowed)
        return say('Elderleaf was not allowed. Nothing was joined; press Join again to be asked once more.');
      const answer = await ask('join', { address, code, name });
      if (answer?.trouble) return say(answer.trouble);
      await done();
    } catch {
      say('The browser could not ask for it. Nothing was joined; press Join again.');
    } finally {
      setBusy(false);
    }
  };
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
          value={address}
          onChange={(event) => setAddress(event.target.value)}
          placeholder="elderleaf.school.example"
          required
        />
      </label>
      <label>
        Code
        <input
          id="code"
          value={code}
          onChange={(event) => setCode(event.target.value)}
          autoComplete="off"
          required
        />
      </label>
      <label>
        Name of this browser
        <input value={name} onChange={(event) => setName(event.target.value)} maxLength={60} required />
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
