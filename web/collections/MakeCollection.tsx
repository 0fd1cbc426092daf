import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Collection } from '#contracts';
import { inWords } from '#client/api';
import { useBankIndex, newCollection } from '../api';
import { NameForm } from '../ui';
import { sameName } from './sameName';

/** A name, and there is a collection: at the top, or within another, whose lead-in and rules it begins with. */
export function MakeCollection({ within }: { within: Collection | null }) {
  const navigate = useNavigate();
  const index = useBankIndex();
  const make = useMutation({
    mutationFn: (name: string) => newCollection(name, within?.id ?? null, within),
    onSuccess: ({ id }) => void navigate(`/collections/${id}`),
  });
  return (
    <NameForm
      label={within ? 'New collection inside' : 'New collection'}
      error={make.error ? inWords(make.error) : undefined}
      pending={make.isPending}
      noteOn={(name) => sameName(name, index?.bank.collections ?? [])}
      make={make.mutate}
    />
  );
}
