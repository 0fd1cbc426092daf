import { useState } from 'react';
import { MOST_RIGHT_WORDS } from '#core/glossary';
import { inWords } from '#client/api';
import { usePreferences } from '../api';
import { useSavePreferences } from '../offers';
import { Button, Notice, Tick } from '../ui';

const LONGEST = 60;

/** The words of a text of lines, each once; what is too long to be a word is left out. */
const wordsOfLines = (lines: string): string[] =>
  [...new Set(lines.split('\n').map((line) => line.trim()))]
    .filter((word) => word !== '' && word.length <= LONGEST)
    .slice(0, MOST_RIGHT_WORDS);

/** Words as they are typed, and those that they were typed over. */
interface Typed {
  lines: string;
  over: readonly string[];
}

/** What was typed, with what another computer or the leaf added or took away meanwhile. */
function merged({ lines, over }: Typed, now: readonly string[]): string[] {
  const typed = wordsOfLines(lines);
  const kept = typed.filter((word) => now.includes(word) || !over.includes(word));
  const added = now.filter((word) => !typed.includes(word) && !over.includes(word));
  return [...kept, ...added].slice(0, MOST_RIGHT_WORDS);
}

/** Whether one's spelling is checked, and which words are right whatever a dictionary says, one to a line. */
export function RightWords() {
  const { data } = usePreferences();
  const save = useSavePreferences();
  const [typed, setTyped] = useState<Typed | null>(null);
  const right = data?.spelling?.right ?? [];
  const isOff = data?.spelling?.isOff === true;
  return (
    <div>
      <Tick
        on={!isOff}
        toggle={() =>
          save.mutate((before) => ({
            ...before,
            spelling: { right: before.spelling?.right ?? [], isOff: !isOff },
          }))
        }
      >
        Mark words that no dictionary and no glossary knows
      </Tick>
      {!isOff && (
        <details className="mt-1">
          <summary className="text-[14px] text-elder underline">Words that are right for me</summary>
          <textarea
            aria-label="Words that are right for me, one to a line"
            className="input mt-1 min-h-28 w-full"
            value={typed?.lines ?? right.join('\n')}
            spellCheck={false}
            onChange={({ target }) => setTyped({ lines: target.value, over: typed?.over ?? right })}
          />
          <Button
            disabled={typed === null || save.isPending}
            onClick={() =>
              save.mutate(
                (before) => ({
                  ...before,
                  spelling: { ...before.spelling, right: merged(typed!, before.spelling?.right ?? []) },
                }),
                // What is typed on while they are saved stays.
                { onSuccess: () => setTyped((now) => (now === typed ? null : now)) },
              )
            }
          >
            Save these words
          </Button>
        </details>
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
