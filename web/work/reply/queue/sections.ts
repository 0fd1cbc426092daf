import type { Enquiry } from '#contracts';
import { folded } from '#core/glossary';

/** Some of the queue under one heading. */
export interface Section {
  title: string;
  enquiries: Enquiry[];
}

/** Where an enquiry is listed for a member. */
function headingOf(one: Enquiry, member: string, today: string): string {
  if (one.state === 'answered') return 'Answered';
  if (one.putOffTo !== null && one.putOffTo > today) return 'Put off';
  if (one.state === 'awaiting') return 'Waiting for their answer';
  if (one.takenBy === member) return 'Yours';
  return one.takenBy === null ? 'New' : 'Answered by others now';
}

const HEADINGS = [
  'Yours',
  'New',
  'Answered by others now',
  'Waiting for their answer',
  'Put off',
  'Answered',
];

/**
 * The queue under its headings, in the order it came in: of each who waits longest first. Headings without enquiries are left out.
 * @param today where the member is (YYYY-MM-DD): what is put off to that day is back
 */
export function sectionsOf(queue: readonly Enquiry[], member: string, today: string): Section[] {
  return HEADINGS.flatMap((title) => {
    const enquiries = queue.filter((one) => headingOf(one, member, today) === title);
    return enquiries.length > 0 ? [{ title, enquiries }] : [];
  });
}

/** Those that have all of some words in their head, their message or their notes, whatever the capitals and accents. */
export function foundIn(queue: readonly Enquiry[], words: string): readonly Enquiry[] {
  const wanted = folded(words)
    .split(/\s+/)
    .filter((word) => word !== '');
  if (wanted.length === 0) return queue;
  return queue.filter(({ title, fromName, fromAddress, excerpt, takenByName, notes }) => {
    const said = [title, fromName, fromAddress, excerpt, takenByName ?? '', ...notes.map(({ text }) => text)];
    const all = folded(said.join('\n'));
    return wanted.every((word) => all.includes(word));
  });
}

/** Others of the same sender that an enquiry can be joined to: those that wait, and that nobody else answers. */
export function joinableTo(queue: readonly Enquiry[], one: Enquiry, member: string): Enquiry[] {
  const address = one.fromAddress.toLowerCase();
  if (address === '') return [];
  const isFree = ({ takenBy }: Enquiry) => takenBy === null || takenBy === member;
  return queue.filter(
    (other) =>
      other.case !== one.case &&
      other.state !== 'answered' &&
      isFree(other) &&
      isFree(one) &&
      other.fromAddress.toLowerCase() === address,
  );
}
