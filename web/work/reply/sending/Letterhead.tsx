import { readAddresses } from '#core/mail';
import type { HeadLine } from '#core/letter';
import type { WrittenHead } from './useHead';

const LINES: { line: HeadLine; label: string }[] = [
  { line: 'to', label: 'To' },
  { line: 'cc', label: 'Cc' },
  { line: 'subject', label: 'Subject' },
];

/** What is wrong with a line of the head; null for nothing. */
function faultIn(line: HeadLine, words: string): string | null {
  if (line === 'subject') return null;
  const { faults } = readAddresses(words);
  return faults.length > 0 ? `${faults.map((one) => `“${one}”`).join(', ')}: no address for mail` : null;
}

interface Props {
  written: WrittenHead;
  /** False for a finished letter. */
  open: boolean;
  /** Gives the keys to the text. */
  giveKeys: () => void;
}

/** To whom the letter goes and what it is called, above its text; a line that the text says in a box of its own stands there alone. */
export function Letterhead({ written: { head, inText, write }, open, giveKeys }: Props) {
  const lines = LINES.filter(({ line }) => !inText.has(line));
  return (
    <div role="group" aria-label="Head of the letter" className="grid gap-1 px-9 pt-2 max-[899px]:px-4">
      {lines.map(({ line, label }, at) => {
        const fault = faultIn(line, head[line]);
        return (
          <div key={line} className="grid grid-cols-[4.5rem_1fr] items-baseline">
            <label htmlFor={`letter-${line}`} className="eyebrow">
              {label}
            </label>
            <input
              id={`letter-${line}`}
              value={head[line]}
              readOnly={!open}
              maxLength={line === 'subject' ? 900 : 4000}
              spellCheck={line === 'subject'}
              autoComplete="off"
              aria-invalid={fault !== null}
              aria-describedby={fault ? `letter-${line}-fault` : undefined}
              onChange={({ target }) => write(line, target.value)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' || event.altKey || event.nativeEvent.isComposing) return;
                event.preventDefault();
                const next = lines[at + 1];
                if (next) document.getElementById(`letter-${next.line}`)?.focus();
                else giveKeys();
              }}
              className="w-full border-b border-hair bg-transparent py-0.5 focus:border-elder focus:outline-none"
            />
            {fault && (
              <p id={`letter-${line}-fault`} role="alert" className="col-start-2 text-[13px] text-rust">
                {fault}
              </p>
            )}
          </div>
        );
      })}
    </div>
  );
}
