import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Case } from '#contracts';
import { call, inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import type { BatchSetup } from '#core/batch';
import { KEYS, queryClient } from '../../../api';
import { Button, Notice, useLastingIds } from '../../../ui';
import { keepFirst } from '../keepFirst';

/** A batch like this one for other rows, such as those of next month. */
export function Again({ one, setup }: { one: Case; setup: BatchSetup }) {
  const navigate = useNavigate();
  const ids = useLastingIds();
  const begin = useMutation({
    mutationFn: async () => {
      const body = {
        id: ids.of('batch'),
        kind: 'batch' as const,
        title: one.title,
        number: null,
        details: [],
        given: [],
      };
      const made = await call('makeCase', { body });
      const fresh = { ...setup, day: calendarToday() };
      await keepFirst(made.id, fresh);
      return made.id;
    },
    onSuccess: (id) => {
      ids.renew();
      void queryClient.invalidateQueries({ queryKey: KEYS.cases });
      void navigate(`/cases/${id}?show=rows`);
    },
  });
  return (
    <section aria-label="Once more" className="px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">Once more, with other rows</h2>
      <p className="mt-1 text-[14px] text-soft">
        A new batch reads its table, decides and writes as this one does. This one stays as it is.
      </p>
      <Button className="mt-2" onClick={() => begin.mutate()} disabled={begin.isPending}>
        New batch like this one
      </Button>
      {begin.error && <Notice tone="warning" title={inWords(begin.error)} />}
    </section>
  );
}
