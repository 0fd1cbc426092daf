import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { CaseSubmission } from '#contracts';
import { wordsInSubmission } from '#core/submission';
import { Button, Key } from '../../ui';
import { PagesOfFile } from './PagesOfFile';
import { TakeIn } from './TakeIn';
import type { Among } from './useAmong';
import type { Pages } from './usePages';

/** What was handed in, in a line: its name, how many words, and how it is handed in anew. */
export function SubmissionHead({
  of,
  handed,
  among,
  pages,
}: {
  of: string;
  handed: CaseSubmission;
  among: Among | null;
  pages: Pages | null;
}) {
  const [again, setAgain] = useState(false);
  const [areSeen, setSeen] = useState(false);
  const words = useMemo(() => wordsInSubmission(handed.submission), [handed.submission]);
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4 px-9 pt-2 text-[13px] text-soft max-[899px]:px-4">
        <span className="min-w-0 truncate">{handed.name}</span>
        <span>{words === 1 ? '1 word' : `${words.toLocaleString()} words`}</span>
        {among?.off && <span className="text-rust">{among.off}</span>}
        <Button look="text" aria-expanded={again} onClick={() => setAgain(!again)}>
          New version
        </Button>
        {pages && (
          <Button look="text" aria-expanded={areSeen} onClick={() => setSeen(!areSeen)}>
            {areSeen ? 'Hide pages' : 'Show pages'}
          </Button>
        )}
        {among && (
          <span className="ml-auto flex items-baseline gap-x-4">
            <Link to={`/assignments/${among.id}`} className="text-elder underline">
              {among.title}
            </Link>
            <span>
              {among.at + 1} of {among.count}
            </span>
            {among.next && (
              <Link to={`/cases/${among.next}`} className="text-elder underline">
                Next <Key>Alt + V</Key>
              </Link>
            )}
          </span>
        )}
      </p>
      {pages && areSeen && <PagesOfFile pages={pages} />}
      {again && <TakeIn of={of} again done={() => setAgain(false)} />}
    </>
  );
}
