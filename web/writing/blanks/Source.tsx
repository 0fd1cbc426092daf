import { agoInWords, dateInWords, type CalendarDate } from '#core/calendar';
import { codeThatAges, isOld } from '#core/record';
import { calendarToday } from '#client/clock';
import { useRecordRules } from '../../api';

interface Props {
  source: string;
  asOf: CalendarDate | null;
  /** By which path of the record an amount was asked; null for a name or a day, which do not age. */
  ages: string | null;
}

/** Where a detail of the record came from and how old it is; older than the team calls fresh, that too. */
export function Source({ source, asOf, ages }: Props) {
  const rules = useRecordRules();
  const today = calendarToday();
  const code = ages === null ? null : codeThatAges(ages);
  const old = code !== null && asOf !== null && isOld(code, asOf, rules, today);
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
