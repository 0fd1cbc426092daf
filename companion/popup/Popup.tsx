import { useCallback, useEffect, useState } from 'react';
import { ask, type Status } from '../messages';
import { JoinForm } from './JoinForm';
import { PagePart } from './PagePart';

/** The tab in front; null where it cannot be told. */
async function tabInFront(): Promise<number | null> {
  // Opened in a tab of its own, the small window tells of the page it is told of.
  const told = new URLSearchParams(location.search).get('tab');
  if (told) return Number(told);
  const [tab] = await chrome.tabs.query({ active: true, currentWindow: true });
  return tab?.id ?? null;
}

/** The tab in front, and how this browser stands with Elderleaf on it; the latter null where it cannot be told. */
async function seenNow(): Promise<{ tab: number | null; status: Status | null }> {
  const tab = await tabInFront();
  return { tab, status: await ask('status', { tab }) };
}

const agoInWords = (then: number | null): string => {
  if (then === null) return 'not yet';
  const minutes = Math.round((Date.now() - then) / 60_000);
  return minutes < 1 ? 'just now' : minutes === 1 ? 'a minute ago' : `${minutes} minutes ago`;
};

/** The small window of the toolbar: joining, what is kept in this browser, and the page in front. */
export function Popup() {
  const [seen, setSeen] = useState<Awaited<ReturnType<typeof seenNow>> | null>(null);
  const look = useCallback(() => seenNow().then(setSeen), []);
  useEffect(() => void look(), [look]);
  if (!seen?.status) return <p className="soft">One moment …</p>;
  const { tab, status } = seen;
  const { joined, page } = status;
  if (!joined)
    return (
      <>
        <h1>Join this browser</h1>
        {status.trouble && (
          <p role="alert" className="problem">
            {status.trouble}
          </p>
        )}
        <JoinForm tab={tab} done={look} />
      </>
    );
  return (
    <>
      <h1>Elderleaf</h1>
      <p>
        {joined.member} at {new URL(joined.address).host}
      </p>
      <p className="soft">
        {status.entries} entries in this browser, {status.cues} cues; up to date{' '}
        {agoInWords(status.renewedAt)}.{status.waiting > 0 && ` ${status.waiting} uses wait to be counted.`}
      </p>
      {status.trouble && (
        <p role="alert" className="problem">
          {status.trouble} What is in this browser works on.
        </p>
      )}
      {page && <PagePart page={page} tab={tab} mayTeach={status.isOwner} changed={look} />}
      <h2>This browser: {joined.name}</h2>
      <p className="soft">
        It reads the bank and counts uses as numbers. What you type on pages stays there. Leaving takes the
        bank out of this browser.
      </p>
      <label className="tick">
        <input
          type="checkbox"
          checked={status.offers}
          onChange={(event) => void ask('switch-offers', { on: event.target.checked }).then(look)}
        />
        Offer entries for what is typed behind a lead-in
      </label>
      <div className="row">
        <button type="button" onClick={() => void ask('renew', {}).then(look)}>
          Renew now
        </button>
        <button type="button" onClick={() => void ask('leave', {}).then(look)}>
          Leave
        </button>
      </div>
    </>
  );
}
