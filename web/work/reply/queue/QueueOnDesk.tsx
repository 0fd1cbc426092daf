import { formatDistanceToNowStrict } from 'date-fns';
import { Link } from 'react-router';
import { calendarToday } from '#client/clock';
import { useQueue } from '../../../api';
import { useShell } from '../../../shell';
import { sectionsOf } from './sections';

/** The queue beside the desk: how many wait, and since when. */
export function QueueOnDesk() {
  const { member } = useShell();
  const { data: queue } = useQueue();
  if (!queue) return null;
  const sections = sectionsOf(queue, member.id, calendarToday());
  const listed = (title: string) => sections.find((one) => one.title === title)?.enquiries ?? [];
  const [fresh, mine] = [listed('New'), listed('Yours')];
  const [longest] = fresh;
  return (
    <section aria-label="Queue" className="pt-6">
      <h2 className="section-head">Queue</h2>
      <p className="text-[14.5px]">
        <Link to="/queue" className="inline-block py-1 text-elder underline">
          {fresh.length.toLocaleString()} new, {mine.length.toLocaleString()} yours
        </Link>
      </p>
      {longest && (
        <p className="text-[13px] text-soft">
          {longest.fromName || longest.fromAddress} waits longest,{' '}
          {formatDistanceToNowStrict(new Date(longest.since))}.
        </p>
      )}
    </section>
  );
}
