import { agoInWords, dateInWords, daysBetween, type CalendarDate } from '#core/calendar';
import { calendarToday } from '#client/clock';

/** What was measured longer ago than this many days says so in the warning colour. */
const OLD_AFTER_DAYS = 7;

interface Props {
  source: string;
  asOf: CalendarDate | null;
  /** True for what was measured and may have changed since; a name or a day of admission does not age. */
  ages: boolean;
}

/** Where a detail of the record came from and how old it is. */
export function Source({ source, asOf, ages }: Props) {
  const today = calendarToday();
  const old = ages && asOf !== null && daysBetween(asOf, today) > OLD_AFTER_DAYS;
  return (
    <span className="text-[12.5px] text-soft">
      {source}
      {asOf && (
        <span
          className={old ? 'font-semibold text-rust' : ''}
          title={dateInWords(asOf, 'long', navigator.language)}
        >
          , {agoInWords(asOf, today)}
        </span>
      )}
    </span>
  );
}
