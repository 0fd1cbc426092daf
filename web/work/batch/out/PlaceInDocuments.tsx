import { useQuery } from '@tanstack/react-query';
import { inWords } from '#client/api';
import type { BatchSetup } from '#core/batch';
import { KEYS } from '../../../api';
import { Notice, SelectField } from '../../../ui';
import type { Letter } from '../letterMaker';
import { placesInFirst } from './intoDocuments';

interface Props {
  of: string;
  setup: BatchSetup;
  letters: readonly Letter[];
  keep: (setup: BatchSetup) => void;
}

const MOST_SHOWN = 300;

/** Where letters go in the documents that the rows are: shown once, on the first of them, and the same in all. */
export function PlaceInDocuments({ of, setup, letters, keep }: Props) {
  const places = useQuery({
    queryKey: [...KEYS.batch(of), 'places'],
    queryFn: () => placesInFirst(of, letters),
    staleTime: Infinity,
  });
  if (places.isError) return <Notice tone="warning" title={inWords(places.error)} />;
  const all = (places.data ?? []).map((words) => words.slice(0, 400)).slice(0, MOST_SHOWN);
  const shown = setup.behind === '' || all.includes(setup.behind) ? all : [setup.behind, ...all];
  return (
    <SelectField
      label="Where the letter goes in each document"
      value={setup.behind}
      onChange={({ target }) => keep({ ...setup, behind: target.value })}
    >
      <option value="">at its end</option>
      {shown.map((words) => (
        <option key={words} value={words}>
          behind “{words.length > 80 ? `${words.slice(0, 79)}…` : words}”
        </option>
      ))}
    </SelectField>
  );
}
