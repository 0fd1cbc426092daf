import { useRef, useState } from 'react';
import type { Glossary } from '#contracts';
import { writeWordList, type Term } from '#core/glossary';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import { Button, Notice, Tick } from '../ui';
import { useImport } from '../api';

const LIMIT = 3_500_000;

interface Props {
  glossary: Glossary;
  terms: readonly Term[];
}

/** What became of a word list that was brought in. */
function Taken({ done }: { done: NonNullable<ReturnType<typeof useImport>['data']> }) {
  return (
    <Notice title={`${done.added} new, ${done.changed} changed, ${done.dropped} gone.`}>
      {done.faults.length > 0 && (
        <ul>
          {done.faults.slice(0, 20).map(({ line, message }) => (
            <li key={line}>
              Line {line} was left out: {message}.
            </li>
          ))}
        </ul>
      )}
    </Notice>
  );
}

/** Taking a word list over and giving it back, as a file or by pasting. */
export function WordListPanel({ glossary, terms }: Props) {
  const [pasted, setPasted] = useState('');
  const [replace, setReplace] = useState(false);
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const take = useImport(glossary.id);
  const takeOver = (words: string, name: string) => {
    const isLarge = words.length > LIMIT;
    setTooLarge(
      isLarge
        ? `${name} is larger than 3.5 MB. Nothing was brought in. Split it into parts and bring those in.`
        : null,
    );
    if (!isLarge) take.mutate({ terms: words, replace }, { onSuccess: () => setPasted('') });
  };
  const save = () => offerAs('tsv', writeWordList(terms), glossary.name);
  const done = take.data;
  return (
    <section aria-label="Word list" className="grid gap-3">
      <h2 className="section-head">Word list</h2>
      <Button className="justify-self-start" onClick={save} disabled={terms.length === 0}>
        Save it as a file
      </Button>
      {glossary.right === 'keep' && glossary.shipped === null && (
        <>
          <label className="grid gap-1 text-[13px] text-soft">
            One term a line; or term, cue, rank and a note to ask about, separated by tabs. Small words that
            go together are one term with choices, found by their first letters: {'{he|she} {was|is}'}
            <textarea
              className="input min-h-24 font-cue text-[13px] text-ink"
              value={pasted}
              onChange={({ target }) => setPasted(target.value)}
            />
          </label>
          <Tick on={replace} toggle={() => setReplace(!replace)}>
            Delete the terms it does not have
          </Tick>
          <div className="flex flex-wrap gap-3">
            <Button
              disabled={pasted.trim() === '' || take.isPending}
              onClick={() => takeOver(pasted, 'This list')}
            >
              Bring in
            </Button>
            <Button disabled={take.isPending} onClick={() => picker.current?.click()}>
              Bring in a file
            </Button>
            <input
              ref={picker}
              type="file"
              accept=".txt,.tsv,text/plain"
              aria-label="Word list file"
              className="hidden"
              onChange={({ target }) => {
                const file = target.files?.[0];
                target.value = '';
                if (file) void file.text().then((words) => takeOver(words, file.name));
              }}
            />
          </div>
        </>
      )}
      {tooLarge && <Notice tone="warning" title={tooLarge} />}
      {take.error && <Notice tone="warning" title={inWords(take.error)} />}
      {done && <Taken done={done} />}
    </section>
  );
}
