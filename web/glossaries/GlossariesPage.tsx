import { inOrder } from '#core/language';
import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import type { Glossary } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useGlossaries, useKinds } from '../api';
import { Figure } from '../shell';
import { Failed, Loading, NameForm, Notice } from '../ui';
import { lettersInWords } from './LettersField';
import { PreferencesPanel } from './PreferencesPanel';
import { SavedPanel } from './SavedPanel';

const countOf = ({ count }: Glossary) =>
  count === null ? 'comes with Elderleaf' : `${count.toLocaleString()} terms`;

function NewGlossary() {
  const navigate = useNavigate();
  const make = useMutation({
    mutationFn: (name: string) =>
      call('makeGlossary', {
        body: { name, language: 'en-GB', kindsOfWork: [], priority: 2, careful: false },
      }),
    onSuccess: (made) => {
      void queryClient.invalidateQueries({ queryKey: KEYS.glossaries });
      void navigate(`/glossaries/${made.id}`);
    },
  });
  return (
    <NameForm
      label="New glossary"
      error={make.error ? inWords(make.error) : undefined}
      pending={make.isPending}
      make={make.mutate}
      className="px-9 py-5 max-[899px]:px-4"
    />
  );
}

/** The glossaries in priority, how one likes to be offered things, and what that saved. */
export function GlossariesPage() {
  const kinds = useKinds();
  const glossaries = useGlossaries();
  const sorted = [...(glossaries.data ?? [])].sort(
    (a, b) => b.priority - a.priority || inOrder(a.name, b.name),
  );
  return (
    <Figure
      marginLabel="Offers"
      margin={
        <div className="grid gap-7 pt-6">
          <PreferencesPanel />
          <SavedPanel />
        </div>
      }
    >
      <header className="px-9 pt-6 pb-3 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Glossaries</h1>
        <p className="text-[14px] text-soft">
          Their terms are offered as you write: by first letters, initials of a phrase, or consonants.
          Glossaries higher up are offered first.
        </p>
      </header>
      {glossaries.isPending && <Loading what="the glossaries" />}
      {glossaries.isError && (
        <Failed what="the glossaries" error={glossaries.error} retry={() => void glossaries.refetch()} />
      )}
      <ul>
        {sorted.map((glossary) => (
          <li key={glossary.id} className="border-b border-hair">
            <Link
              to={`/glossaries/${glossary.id}`}
              className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 px-9 py-2.5 hover:text-elder max-[899px]:px-4"
            >
              <span className="break-words font-semibold">{glossary.name}</span>
              <span className="text-[13px] text-soft">{countOf(glossary)}</span>
              <span className="col-span-2 text-[13px] text-soft">
                In reach for {kinds.inWords(glossary.kindsOfWork)}
                {lettersInWords(glossary.letters) && `; ${lettersInWords(glossary.letters)}`}
                {glossary.careful && '; asks again before a look-alike'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {sorted.length === 0 && !glossaries.isPending && (
        <Notice title="There is no glossary yet.">Make one, or bring in a word list you have.</Notice>
      )}
      <NewGlossary />
    </Figure>
  );
}
