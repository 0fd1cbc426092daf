import { MOST_RIGHT_WORDS } from '#core/glossary';
import { inWords } from '#client/api';
import { usePreferences } from '../api';
import { useSavePreferences } from '../offers';
import { Notice, Tick, WordLines } from '../ui';

const LONGEST = 60;

/** The words of a text of lines, each once; what is too long to be a word is left out. */
const wordsOfLines = (lines: string): string[] =>
  [...new Set(lines.split('\n').map((line) => line.trim()))].filter(
    (word) => word !== '' && word.length <= LONGEST,
  );

/** Whether one's spelling is checked, and which words are right whatever a dictionary says, one to a line. */
export function RightWords() {
  const { data } = usePreferences();
  const save = useSavePreferences();
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
          <WordLines
            label="Words that are right for me, one to a line"
            words={right}
            read={wordsOfLines}
            most={MOST_RIGHT_WORDS}
            isSaving={save.isPending}
            save={(change, onSuccess) =>
              save.mutate(
                (before) => ({
                  ...before,
                  spelling: { ...before.spelling, right: change(before.spelling?.right ?? []) },
                }),
                { onSuccess },
              )
            }
          />
        </details>
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
