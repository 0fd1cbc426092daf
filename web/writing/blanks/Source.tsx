import { agoInWords, dateInWords, type CalendarDate } from '#core/calendar';
import { isOld, readMeasuredAsk } from '#core/record';
import { calendarToday } from '#client/clock';
import { useRecordRules } from '../../api';

interface Props {
  source: string;
  asOf: CalendarDate | null;
  /** By which path of the record it was asked, where it was measured and may have changed since; a name or a day of admission does not age. */
  ages: string | null;
}

/** Where a detail of the record came from and how old it is; older than the team calls fresh, that too. */
export function Source({ source, asOf, ages }: Props) {
  const rules = useRecordRules();
  const today = calendarToday();
  const old =
    ages !== null && asOf !== null && isOld(readMeasuredAsk(ages).codes[0] ?? '', asOf, rules, today);
  return (
    <span className="text-[12.5px] text-soft">
      {source}
      {asOf && (
        <span
          className={old ? 'font-semibold text-rust' : ''}
          title={dateInWords(asOf, 'long', navigator.language)}
        >
          , {agoInWords(asOf, today)}
          {old && ': old'}
        </span>
      )}
    </span>
  );
}
