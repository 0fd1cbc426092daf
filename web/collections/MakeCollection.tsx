import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Collection } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { call, inWords } from '../api/client';
import { KEYS, queryClient } from '../api/queries';
import { NameForm } from '../ui';

/** A name, and there is a collection: at the top, or within another, whose lead-in and rules it begins with. */
export function MakeCollection({ within }: { within: Collection | null }) {
  const navigate = useNavigate();
  const make = useMutation({
    mutationFn: (name: string) =>
      call('makeCollection', {
        body: {
          name,
          parent: within?.id ?? null,
          leadIn: within?.leadIn ?? ';',
          cueRules: within?.cueRules ?? DEFAULT_CUE_RULES,
          kindsOfWork: within?.kindsOfWork ?? [],
          language: within?.language ?? 'en-GB',
        },
      }),
    onSuccess: async ({ id }) => {
      await queryClient.invalidateQueries({ queryKey: KEYS.bank });
      void navigate(`/collections/${id}`);
    },
  });
  return (
    <NameForm
      label={within ? 'A new collection in it' : 'A new collection'}
      error={make.error ? inWords(make.error) : undefined}
      pending={make.isPending}
      make={make.mutate}
    />
  );
}
