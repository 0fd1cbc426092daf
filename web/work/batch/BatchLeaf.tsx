import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Batch, Case } from '#contracts';
import { inWords } from '#client/api';
import { entryIn } from '#core/bank';
import { preparedEntry } from '#core/fill';
import { emptyRecord } from '#core/record';
import { useBankIndex, useCase } from '../../api';
import { Figure } from '../../shell';
import { Failed, Loading, Notice } from '../../ui';
import { VIEWS, type View } from './BatchHead';
import { DecisionView } from './DecisionView';
import { LettersView } from './LettersView';
import { OutView } from './out/OutView';
import { RowsView } from './RowsView';
import { useBatch, useSetupChange } from './useBatch';
import { useLetters } from './useLetters';

/** The part of a batch that is worked on next, where the address names none. */
function usualView({ setup, rows }: Batch): View {
  if (!setup || rows.length === 0) return 'rows';
  return setup.rules.length === 0 && rows.every(({ entry }) => entry === null) ? 'decision' : 'letters';
}

const NO_RECORD = emptyRecord();

/** The names of the fields that a batch's letters ask for. */
function useFieldNames(batch: Batch): string[] {
  const index = useBankIndex();
  return useMemo(() => {
    const entries = batch.setup?.rules.map(({ entry }) => entry) ?? [];
    const names = [...new Set(entries)].flatMap((id) => {
      const entry = index && entryIn(index, id);
      if (!entry) return [];
      const find = (one: string) => entryIn(index, one)?.content;
      return preparedEntry({ entry, record: NO_RECORD, find }).content.fields.flatMap(({ name, kind }) =>
        kind === 'detail' || kind === 'writer' || kind === 'computed' ? [] : name,
      );
    });
    return [...new Set(names)];
  }, [batch.setup, index]);
}

function OpenBatch({ one, batch }: { one: Case; batch: Batch }) {
  const [params, setParams] = useSearchParams();
  const index = useBankIndex();
  const made = useLetters(one, batch);
  const fields = useFieldNames(batch);
  const { keep, error, isKeeping } = useSetupChange(one.id);
  const asked = params.get('show') as View | null;
  // As it was when the batch was opened: the first rule is no reason to go on to the letters.
  const [usual] = useState(() => usualView(batch));
  const view = asked && VIEWS.includes(asked) ? asked : usual;
  const { setup, rows } = batch;
  const told = error && (
    <div className="mx-auto max-w-xl py-2">
      <Notice tone="warning" title={inWords(error)} />
    </div>
  );
  if (view === 'rows' || !setup || !index)
    return (
      <>
        {told}
        <RowsView {...{ one, setup, rows, fields, keep }} />
      </>
    );
  if (view === 'decision')
    return (
      <>
        {told}
        <DecisionView
          {...{ one, setup, rows, index, keep, isKeeping }}
          showUndecided={() => setParams({ show: 'letters', state: 'undecided' })}
        />
      </>
    );
  if (view === 'out')
    return (
      <>
        {told}
        <OutView {...{ one, batch, setup, made, keep, isKeeping }} />
      </>
    );
  return <LettersView {...{ one, setup, index, made }} />;
}

/** A batch: a table, who gets what, the letters one by one, and how they go out. */
export function BatchLeaf({ id }: { id: string }) {
  const found = useCase(id);
  const batch = useBatch(id);
  if (found.data && batch.data) return <OpenBatch one={found.data} batch={batch.data} />;
  const failed = found.isError ? found : batch.isError ? batch : null;
  return (
    <Figure marginLabel="Beside the batch" margin={null}>
      {failed ? (
        <Failed
          what="this batch"
          error={failed.error}
          retry={() => void Promise.all([found.refetch(), batch.refetch()])}
        />
      ) : (
        <Loading what="the batch" />
      )}
    </Figure>
  );
}
