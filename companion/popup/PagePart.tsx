import { useState } from 'react';
import { patternOf } from '../originOf';
import { ask, type Form, type PageStatus } from '../messages';

const FORMS: Record<Form, string> = {
  'by-box': 'As each box takes it: with formatting, or plain',
  plain: 'Plain text',
  markdown: 'Markdown',
};

interface Props {
  page: PageStatus;
  tab: number | null;
  /** Whether one may show where details stand on it. */
  mayTeach: boolean;
  changed: () => Promise<void>;
}

/** Asks for a page, or for frames within it: each by itself, and only when it is wanted. */
function Granting({
  origins,
  label,
  tab,
  changed,
}: { origins: string[]; label: string } & Omit<Props, 'page' | 'mayTeach'>) {
  const [isRefused, setRefused] = useState(false);
  const grant = async () => {
    const isGranted = await chrome.permissions.request({ origins: origins.map(patternOf) });
    setRefused(!isGranted);
    if (isGranted && tab !== null) await ask('page-granted', { tab });
    await changed();
  };
  return (
    <>
      <button type="button" className="main" onClick={() => void grant()}>
        {label}
      </button>
      {isRefused && (
        <p role="alert" className="problem">
          It was not allowed. Nothing is looked at there.
        </p>
      )}
    </>
  );
}

/** Cues work here: the keys there are, how words go in, and switching off. */
function PageOn({
  page: { host, form },
  then,
}: {
  page: PageStatus;
  then: (done: Promise<unknown>) => void;
}) {
  return (
    <>
      <p className="soft">
        Cues work here. <kbd>Alt + Shift + U</kbd> looks up, <kbd>Alt + Shift + K</kbd> keeps what is
        selected, <kbd>Alt + Shift + O</kbd> switches off.
      </p>
      <label>
        Words go in as
        <select
          value={form}
          onChange={(event) => then(ask('form-of-page', { host, form: event.target.value as Form }))}
        >
          {Object.entries(FORMS).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <div className="row">
        <button type="button" onClick={() => then(ask('switch-page', { host, on: false }))}>
          Switch off here
        </button>
        <button type="button" onClick={() => then(ask('forget-boxes', { host }))}>
          Forget where parts go
        </button>
      </div>
    </>
  );
}

const SAID: Record<PageStatus['state'], string | null> = {
  on: null,
  off: 'You switched cues off here.',
  own: 'This is Elderleaf itself: its leaves bring cues by themselves.',
  'left-alone': 'This page is left alone: your team, or whoever looks after this computer, has said so.',
  asked:
    'Cues do not work here yet. Allowed, the boxes one writes in are looked at for cues; never passwords, payment or search.',
};

/** What is so on the page in front, and what one may say of it. */
export function PagePart({ page, tab, mayTeach, changed }: Props) {
  const { host, state, frames, origin } = page;
  const then = (done: Promise<unknown>) => void done.then(changed);
  return (
    <section aria-label="This page">
      <h2>This page: {host}</h2>
      {SAID[state] && <p className="soft">{SAID[state]}</p>}
      {state === 'asked' && (
        <Granting origins={[origin]} label="Use cues on this page" {...{ tab, changed }} />
      )}
      {state === 'off' && (
        <button type="button" onClick={() => then(ask('switch-page', { host, on: true }))}>
          Switch on
        </button>
      )}
      {state === 'on' && <PageOn page={page} then={then} />}
      {state === 'on' && mayTeach && tab !== null && (
        <button type="button" onClick={() => void ask('point', { tab }).then(() => window.close())}>
          Show where details are on it
        </button>
      )}
      {(state === 'on' || state === 'asked') && frames.length > 0 && (
        <>
          <p className="soft">
            Some of its boxes are in frames of {frames.map((one) => new URL(one).host).join(', ')}.
          </p>
          <Granting origins={frames} label="Use cues in these frames" {...{ tab, changed }} />
        </>
      )}
    </section>
  );
}
