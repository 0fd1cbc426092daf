import { useMemo, useState } from 'react';
import { explainCue, type BankCue, type Closer, type Explanation } from '#core/cue';
import { SelectField } from '../ui';
import { BEFORE } from './ruleWords';
import { useKinds } from '../api';

const CLOSED: Record<Closer, string> = {
  space: 'the space',
  enter: 'Enter',
  tab: 'Tab',
  punctuation: 'the punctuation mark',
};

const listed = (words: readonly string[]) =>
  new Intl.ListFormat(navigator.language, { type: 'disjunction' }).format(words);

/** What the key typed last did, in one sentence. */
function inWords(found: Explanation, titleOf: (entry: string) => string): string {
  switch (found.code) {
    case 'fires': {
      const { cue } = found.match;
      const title = titleOf(cue.entry);
      if (!found.closer) return `Typing ${cue.typed} places “${title}” straight away.`;
      const kept = cue.rules.keepCloser ? ' The key is written too.' : '';
      return `Typing ${cue.typed} and ${CLOSED[found.closer]} places “${title}”.${kept}`;
    }
    case 'waits':
      return `${found.cue.typed} waits for ${listed(found.cue.rules.closers.map((closer) => CLOSED[closer]))}.`;
    case 'before':
      return `Not here: ${found.cue.typed} needs ${BEFORE[found.cue.rules.before]} before it.`;
    case 'letters':
      return `${found.cue.typed} must be typed with exactly these capitals.`;
    case 'closer':
      return `This key does not finish ${found.cue.typed}.`;
    case 'nothing':
      return 'No cue here.';
  }
}

/** A line to type on, which tells at each key what a leaf would do; nothing is placed anywhere. */
export function TryOut({ cues }: { cues: readonly BankCue[] }) {
  const [line, setLine] = useState('');
  const { done, workOf } = useKinds();
  const [chosen, setKind] = useState<string | null>(null);
  const kind = chosen ?? done[0] ?? '';
  const inReach = useMemo(
    () =>
      cues.filter(
        ({ collection: { kindsOfWork } }) => kindsOfWork.length === 0 || kindsOfWork.includes(kind),
      ),
    [cues, kind],
  );
  const titles = useMemo(() => new Map(cues.map(({ entry, title }) => [entry, title])), [cues]);
  const found = explainCue(line, inReach);
  return (
    <section aria-label="Try cues out" className="px-9 py-4 max-[899px]:px-4">
      <div className="grid grid-cols-[1fr_12rem] items-end gap-4 max-[899px]:grid-cols-1">
        <label className="eyebrow block">
          Try a cue out
          <input
            className="input book text-[17px] font-normal text-ink"
            value={line}
            spellCheck={false}
            autoComplete="off"
            placeholder="Type as you would on a leaf"
            onChange={({ target }) => setLine(target.value)}
            onKeyDown={(event) => {
              // Enter and Tab close cues as well; here they are only looked at, and Tab still leaves the line.
              if (event.key === 'Enter') setLine(`${line}\n`);
            }}
          />
        </label>
        <SelectField label="In reach" value={kind} onChange={({ target }) => setKind(target.value)}>
          {done.map((one) => (
            <option key={one} value={one}>
              {workOf(one)}
            </option>
          ))}
        </SelectField>
      </div>
      <p role="status" className={`mt-2 text-[14.5px] ${found.code === 'fires' ? 'text-leaf' : 'text-soft'}`}>
        {line === '' ? 'Each key is explained here.' : inWords(found, (entry) => titles.get(entry) ?? '')}
      </p>
    </section>
  );
}
