import { useState } from 'react';
import { Button } from './Button';

/** Words as they are typed, and those that they were typed over. */
interface Typed {
  lines: string;
  over: readonly string[];
}

/** What was typed, with what was added or taken away elsewhere meanwhile. */
function merged(typed: readonly string[], over: readonly string[], now: readonly string[]): string[] {
  const kept = typed.filter((word) => now.includes(word) || !over.includes(word));
  return [...kept, ...now.filter((word) => !typed.includes(word) && !over.includes(word))];
}

interface Props {
  label: string;
  /** The words that are kept. */
  words: readonly string[];
  /** Reads what was typed: a word to a line. */
  read: (lines: string) => string[];
  /** So many are kept at the most. */
  most: number;
  /** Keeps words: `change` makes them of those that are kept by then. `done` is to be called once it is so. */
  save: (change: (now: readonly string[]) => string[], done: () => void) => void;
  isSaving: boolean;
}

/** A list of words of one's own, one to a line. What is typed stays until it is kept; what is typed meanwhile, and what was added elsewhere, too. */
export function WordLines({ label, words, read, most, save, isSaving }: Props) {
  const [typed, setTyped] = useState<Typed | null>(null);
  const keep = ({ lines, over }: Typed) =>
    save(
      (now) => merged(read(lines), over, now).slice(0, most),
      () => setTyped((later) => (later === typed ? null : later)),
    );
  return (
    <>
      <textarea
        aria-label={label}
        className="input mt-1 min-h-28 w-full"
        value={typed?.lines ?? words.join('\n')}
        spellCheck={false}
        onChange={({ target }) => setTyped({ lines: target.value, over: typed?.over ?? words })}
      />
      <Button disabled={typed === null || isSaving} onClick={() => typed && keep(typed)}>
        Save these words
      </Button>
    </>
  );
}
