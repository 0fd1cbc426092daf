import { useState } from 'react';
import type { Glossary } from '#contracts';
import { newTerm, TermSchema } from '#core/glossary';
import { findParticulars } from '#core/privacy';
import { inWords } from '#client/api';
import { useKeepTerm } from '../../api';
import { Button, Key, Notice, SelectField, TextField } from '../../ui';
import type { CaseToday } from '../placements/usePlacing';

interface Props {
  text: string;
  /** Those that take terms, the first of them picked. */
  glossaries: readonly Glossary[];
  needs: CaseToday;
  close: (said: string | null) => void;
}

/** The slip on which a word of the leaf is kept in a glossary, so that it is offered from then on. */
export function TermSlip({ text, glossaries, needs, close }: Props) {
  const [words, setWords] = useState(text);
  const [place, setPlace] = useState(glossaries[0]?.id ?? '');
  const keep = useKeepTerm(place);
  const read = TermSchema.safeParse(newTerm(words));
  // A glossary is shared: what is particular to this case does not belong there.
  const passage = {
    type: 'doc' as const,
    content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text: words || ' ' }] }],
  };
  const particular = findParticulars(passage, needs.record, needs.today)[0];
  if (glossaries.length === 0)
    return <Notice title="There is no glossary that takes terms yet. Make one on the page of glossaries." />;
  return (
    <form
      aria-label="Save a term"
      className="slip grid gap-3"
      onKeyDown={(event) => event.key === 'Escape' && close(null)}
      onSubmit={(event) => {
        event.preventDefault();
        const name = glossaries.find(({ id }) => id === place)?.name ?? '';
        if (read.success)
          keep.mutate(read.data, {
            onSuccess: () => close(`“${read.data.text}” is offered from ${name} now.`),
          });
      }}
    >
      <TextField
        label="Offer this from now on"
        value={words}
        autoFocus
        maxLength={120}
        error={read.success || words === '' ? undefined : read.error.issues[0]!.message}
        onChange={({ target }) => setWords(target.value)}
      />
      <SelectField label="In" value={place} onChange={({ target }) => setPlace(target.value)}>
        {glossaries.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      {particular && (
        <Notice tone="warning" title="This may belong to this case only; the glossary is shared." />
      )}
      {keep.error && <Notice tone="warning" title={inWords(keep.error)} />}
      <p className="flex items-center gap-3">
        <Button type="submit" look="main" disabled={!read.success || keep.isPending}>
          Save <Key>Enter</Key>
        </Button>
        <Button look="text" onClick={() => close(null)}>
          Cancel
        </Button>
      </p>
    </form>
  );
}
