import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Enquiry } from '#contracts';
import { inWords } from '#client/api';
import { calendarToday, dayInWords } from '#client/clock';
import { Button, Notice, useLastingIds } from '../../../ui';
import { batchOfEnquiries } from './batchOfEnquiries';

interface Props {
  ticked: readonly Enquiry[];
  untick: () => void;
}

/** Enquiries that are ticked: one letter to each, made and checked together. */
export function TickedEnquiries({ ticked, untick }: Props) {
  const navigate = useNavigate();
  const ids = useLastingIds();
  const make = useMutation({
    mutationFn: () =>
      batchOfEnquiries(ticked, `Enquiries, ${dayInWords(`${calendarToday()}T12:00:00`)}`, ids),
    onSuccess: ({ case: of, left }) => {
      ids.renew();
      if (left.length === 0) void navigate(`/cases/${of}?show=decision`);
    },
  });
  if (ticked.length === 0 && !make.data) return null;
  const { data } = make;
  return (
    <section aria-label="Ticked enquiries" className="slip mb-4">
      <h2 className="section-head">
        {ticked.length === 1
          ? 'One enquiry is ticked'
          : `${ticked.length.toLocaleString()} enquiries are ticked`}
      </h2>
      <p className="mt-2 flex flex-wrap gap-2">
        <Button disabled={make.isPending || ticked.length === 0} onClick={() => make.mutate()}>
          A letter to each
        </Button>
        <Button look="text" onClick={untick}>
          Untick all
        </Button>
      </p>
      {data && data.left.length > 0 && (
        <Notice title="Somebody else answers some of them.">
          <p>{data.left.map(({ title }) => title).join(', ')}: left out.</p>
          <Button className="mt-1" onClick={() => void navigate(`/cases/${data.case}?show=decision`)}>
            Go on with the others
          </Button>
        </Notice>
      )}
      {make.error && <Notice tone="warning" title={inWords(make.error)} />}
    </section>
  );
}
