import { mergedSettings } from '#core/difference';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Glossary, GlossarySettings } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useGlossaries, useTerms } from '../api';
import { AwaitedScreen, Figure, NothingHere } from '../shell';
import { Button, Failed, Loading, Notice, Overtaken, SelectField, TextField, Tick, useUnsaved } from '../ui';
import { KindsOfWorkField } from '../reach';
import { counted } from '../show';
import { LettersField } from './LettersField';
import { TermsTable } from './TermsTable';
import { WordListPanel } from './WordListPanel';

const settingsOf = ({
  name,
  language,
  kindsOfWork,
  priority,
  careful,
  letters,
}: Glossary): GlossarySettings => ({
  name,
  language,
  kindsOfWork,
  priority,
  careful,
  letters,
});

interface DropProps {
  glossary: Glossary;
  drop: () => void;
  isDropping: boolean;
}

/** Deletes a glossary once it was said how much that takes along. */
function DropGlossary({ glossary, drop, isDropping }: DropProps) {
  const [isAsked, ask] = useState(false);
  const count = glossary.count ?? 0;
  if (!isAsked)
    return (
      <Button look="text" onClick={() => ask(true)}>
        Delete
      </Button>
    );
  return (
    <p role="alert" className="flex flex-wrap items-baseline gap-3 text-[14px]">
      It goes to the wastebasket{count === 0 ? '' : `, with its ${counted(count, 'term', 'terms')}`}.
      <Button disabled={isDropping} onClick={drop}>
        Delete it
      </Button>
      <Button look="text" autoFocus onClick={() => ask(false)}>
        Keep it
      </Button>
    </p>
  );
}

/** What is set of a glossary, and the way to delete it. */
export function GlossarySettingsForm({ glossary }: { glossary: Glossary }) {
  // A term that anybody adds makes another version of the glossary: what is set here stays.
  const unsaved = useUnsaved(settingsOf(glossary), glossary.version, mergedSettings);
  const { value: settings, set } = unsaved;
  const navigate = useNavigate();
  const params = { glossary: glossary.id };
  const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.glossaries });
  const { version } = glossary;
  const save = useMutation({
    mutationFn: () => call('saveGlossary', { params, version: unsaved.version, body: settings }),
    onSuccess: (now) => {
      unsaved.saved(settingsOf(now), now.version);
      settled();
    },
  });
  const drop = useMutation({
    mutationFn: () => call('dropGlossary', { params, version }),
    onSuccess: () => {
      settled();
      void queryClient.invalidateQueries({ queryKey: KEYS.wastebasket });
      void navigate('/glossaries');
    },
  });
  const put = (change: Partial<GlossarySettings>) => set({ ...settings, ...change });
  const error = save.error ?? drop.error;
  return (
    <form
      aria-label="Settings"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <TextField
        label="Name"
        value={settings.name}
        maxLength={80}
        onChange={({ target }) => put({ name: target.value })}
      />
      <SelectField
        label="Priority"
        value={settings.priority}
        hint="Of two terms that match as well, the one of the higher list comes first"
        onChange={({ target }) => put({ priority: Number(target.value) })}
      >
        {Array.from({ length: 10 }, (_, at) => (
          <option key={at} value={at}>
            {at}
          </option>
        ))}
      </SelectField>
      <KindsOfWorkField kinds={settings.kindsOfWork} change={(kindsOfWork) => put({ kindsOfWork })} />
      <LettersField letters={settings.letters} change={(letters) => put({ letters })} />
      <Tick on={settings.careful} toggle={() => put({ careful: !settings.careful })}>
        Ask again before placing a look-alike or another strength
      </Tick>
      {unsaved.overtaken && <Overtaken {...unsaved} />}
      {error && <Notice tone="warning" title={inWords(error)} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button type="submit" look="main" disabled={save.isPending || unsaved.overtaken || !unsaved.changed}>
          Save
        </Button>
        <DropGlossary {...{ glossary }} drop={() => drop.mutate()} isDropping={drop.isPending} />
      </div>
    </form>
  );
}

function Known({ glossary }: { glossary: Glossary }) {
  const terms = useTerms(glossary);
  const some = terms.data ?? [];
  return (
    <Figure
      marginLabel="About the glossary"
      margin={
        <div className="grid gap-7 pt-6">
          {glossary.right === 'keep' ? (
            <GlossarySettingsForm glossary={glossary} />
          ) : (
            <p className="text-[14px] text-soft">
              Only an owner or its maker changes this glossary. {!glossary.shipped && 'You may add terms.'}
            </p>
          )}
          <WordListPanel glossary={glossary} terms={some} />
        </div>
      }
    >
      <header className="px-9 pt-6 max-[899px]:px-4">
        <Link to="/glossaries" className="text-[13px] text-soft hover:text-elder">
          Glossaries
        </Link>
        <h1 className="font-book text-[26px] leading-tight break-words">{glossary.name}</h1>
        {glossary.shipped && (
          <p className="text-[14px] text-soft">
            The common words of English with British spellings, from the SCOWL word lists. It comes with
            Elderleaf and is not changed here.
          </p>
        )}
      </header>
      {terms.isPending && <Loading what="its terms" />}
      {terms.isError && <Failed what="its terms" error={terms.error} retry={() => void terms.refetch()} />}
      {terms.data && <TermsTable glossary={glossary} terms={some} />}
    </Figure>
  );
}

/** A glossary: its terms, its settings, word lists in and out. */
export function GlossaryPage() {
  const id = useParams().glossary!;
  const glossaries = useGlossaries();
  const glossary = glossaries.data?.find((one) => one.id === id);
  if (glossary) return <Known key={id} glossary={glossary} />;
  if (!glossaries.data) return <AwaitedScreen title="Glossary" what="the glossary" query={glossaries} />;
  return <NothingHere />;
}
