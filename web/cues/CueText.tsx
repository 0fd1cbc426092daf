import { useEffect, useState } from 'react';
import { CUE_KINDS, keyCueProblem, keyCueProblemInWords, keysOf, type Cue, type CueKind } from '#core/cue';

const KINDS: Record<CueKind, string> = { typed: 'Typed', keys: 'Keys', pattern: 'Pattern' };

/** What brings the entry: letters typed after the lead-in, keys pressed, or a pattern. */
export function CueText({ cue, leadIn, change }: { cue: Cue; leadIn: string; change: (cue: Cue) => void }) {
  const kind = cue.as ?? 'typed';
  const asKind = (next: CueKind): Cue =>
    next === 'typed' ? { text: cue.text, ...(cue.rules && { rules: cue.rules }) } : { ...cue, as: next };
  /** Keys are pressed, not spelled: the combination first; a letter after it, where one is wanted. */
  const press = (event: React.KeyboardEvent) => {
    if (kind !== 'keys' || event.key === 'Tab' || event.key === 'Escape') return;
    const isLetter = /^[a-z0-9]$/i.test(event.key) && !event.ctrlKey && !event.altKey;
    const keys = keysOf(event.nativeEvent);
    if (isLetter && cue.text !== '')
      change({ ...cue, text: `${cue.text.split(' ')[0]} ${event.key.toLowerCase()}` });
    else if (keys && !isLetter) change({ ...cue, text: keys });
    else if (event.key === 'Backspace') change({ ...cue, text: '' });
    else return;
    event.preventDefault();
  };
  return (
    <div className="grid text-[12.5px] text-soft">
      <select
        aria-label="Kind of cue"
        className="min-h-6 bg-page text-[12.5px]"
        value={kind}
        onChange={({ target }) => change({ ...asKind(target.value as CueKind), text: '' })}
      >
        {CUE_KINDS.map((one) => (
          <option key={one} value={one}>
            {KINDS[one]}
          </option>
        ))}
      </select>
      <span className="flex items-baseline">
        {kind === 'typed' && <span className="cue text-[15px]">{leadIn}</span>}
        <input
          aria-label={KINDS[kind]}
          className="input cue text-[15px]"
          spellCheck={false}
          autoComplete="off"
          maxLength={kind === 'pattern' ? 200 : 40}
          placeholder={kind === 'keys' ? 'press them' : undefined}
          readOnly={kind === 'keys'}
          value={cue.text}
          onKeyDown={press}
          onChange={(event) => change({ ...cue, text: event.target.value })}
        />
      </span>
    </div>
  );
}

/** What keeps a key cue or a pattern from working, told while it is made. */
export function CueFault({ cue }: { cue: Cue }) {
  const [pattern, setPattern] = useState<{ source: string; problem: string | null } | null>(null);
  useEffect(() => {
    if (cue.as !== 'pattern' || cue.text === '') return;
    let isWanted = true;
    void import('#core/pattern').then(({ patternProblem }) => {
      if (isWanted) setPattern({ source: cue.text, problem: patternProblem(cue.text) });
    });
    return () => {
      isWanted = false;
    };
  }, [cue]);
  const keys = cue.as === 'keys' && cue.text !== '' ? keyCueProblem(cue.text) : null;
  const said = keys
    ? keyCueProblemInWords(keys)
    : cue.as === 'pattern' && pattern?.source === cue.text && pattern.problem;
  return said ? (
    <p role="alert" className="col-span-full text-[13px] text-rust">
      {said}
    </p>
  ) : null;
}
