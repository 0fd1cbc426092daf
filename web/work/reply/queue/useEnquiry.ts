import { useMutation } from '@tanstack/react-query';
import type { Enquiry, EnquiryChange } from '#contracts';
import { call } from '#client/api';
import { KEYS, queryClient } from '../../../api';

/** Does something with an enquiry of the queue; what comes of it is shown at once. */
export const useEnquiryChange = (of: string) =>
  useMutation({
    mutationFn: (body: EnquiryChange) => call('changeEnquiry', { params: { case: of }, body }),
    onSuccess: (changed) => {
      queryClient.setQueryData<Enquiry[]>(KEYS.queue, (queue) =>
        queue?.map((one) => (one.case === changed.case ? changed : one)),
      );
    },
    // Refused since somebody was quicker: who, stands in the queue as it is now.
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.queue }),
  });
