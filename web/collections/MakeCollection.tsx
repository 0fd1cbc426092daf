import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Collection } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { call, inWords } from '../api/client';
import { KEYS, queryClient } from '../api/queries';
import { Button, TextField } from '../ui';

/** A name, and there is a collection: at the top, or within another, whose lead-in and rules it begins with. */
export function MakeCollection({ within }: { within: Collection | null }) {
  const [name, setName] = useState('');
  const navigate = useNavigate();
  const make = useMutation({
    mutationFn: () =>
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
    <form
      className="flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '' && !make.isPending) make.mutate();
      }}
    >
      <div className="grow">
        <TextField
          label={within ? 'A new collection in it' : 'A new collection'}
          placeholder="Its name"
          value={name}
          maxLength={80}
          error={make.error ? inWords(make.error) : undefined}
          onChange={({ target }) => setName(target.value)}
        />
      </div>
      <Button type="submit" disabled={make.isPending || name.trim() === ''}>
        Make it
      </Button>
    </form>
  );
}
