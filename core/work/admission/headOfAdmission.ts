import type { CalendarDate } from '#core/calendar';
import type { CaseRecord } from '#core/record';

/** What the desk says of an admission besides its title. */
interface AdmissionHead {
  /** Why it came in; '' where the record does not say. */
  summary: string;
  /** The day it came in; null where the record does not say. */
  admitted: CalendarDate | null;
}

/** What the desk says of an admission, from its record. */
export function headOfAdmission({ details }: CaseRecord): AdmissionHead {
  const valueOf = (path: string) => details.find((detail) => detail.path === path)?.value;
  const [reason, admitted] = [valueOf('reason'), valueOf('admitted')];
  return {
    summary: reason?.kind === 'text' ? reason.text : '',
    admitted: admitted?.kind === 'date' ? admitted.date : null,
  };
}
