import {
  useBackups,
  useNewerWordings,
  useNotes,
  usePostRoom,
  useProposals,
  useRoom,
  useSendings,
} from '../api';
import { storageTroubles } from '../backups';
import { isDue, useReviews } from '../reviews';
import { useShell } from '../shell';
import { counted } from '../show';
import { useNow } from '../ui';

/** Something that waits for the member: how much, in words, and where it is answered. */
export interface Waiting {
  count: number;
  words: string;
  to: string;
  /** Whose place of the head line tells of it. */
  place: 'desk' | 'bank' | 'team';
}

/** What waits for the member: newer wordings on one's leaves, proposals, notes, reviews, the emails an owner passes on, and what troubles the store. Nothing that is nought. */
export function useWaiting(): readonly Waiting[] {
  const { member } = useShell();
  const now = useNow();
  const { data: proposals = [] } = useProposals();
  const { data: notes = [] } = useNotes();
  const { data: reviewed } = useReviews();
  const isOwner = member.role === 'owner';
  const { data: post } = usePostRoom(isOwner);
  const { data: room } = useRoom(isOwner);
  const { data: kept } = useBackups(isOwner);
  const toAnswer = proposals.filter(({ mayAnswer }) => mayAnswer).length;
  const noted = notes.filter(({ keeps, closed }) => keeps && !closed).length;
  const due = reviewed?.reviews.filter((one) => one.keeper === member.id && isDue(one)).length ?? 0;
  const { data: sendings = [] } = useSendings();
  const undecided = sendings.filter(({ state }) => state === 'refused' || state === 'perhaps-gone').length;
  const emails = post?.length ?? 0;
  const { data: newer = [] } = useNewerWordings();
  const all: Waiting[] = [
    ...newer.map(({ case: id, title, placements }) => ({
      ...{ count: placements, to: `/cases/${id}`, place: 'desk' as const },
      words: `${counted(placements, 'newer wording', 'newer wordings')} on a leaf of ${title}`,
    })),
    {
      count: undecided,
      words: counted(undecided, 'letter that did not go out', 'letters that did not go out'),
      to: '/outbox',
      place: 'desk',
    },
    { count: toAnswer, words: counted(toAnswer, 'proposal', 'proposals'), to: '/proposals', place: 'team' },
    { count: noted, words: counted(noted, 'note', 'notes'), to: '/proposals', place: 'team' },
    { count: due, words: counted(due, 'review due', 'reviews due'), to: '/order/ageing', place: 'bank' },
    {
      count: emails,
      words: counted(emails, 'email to pass on', 'emails to pass on'),
      to: '/post',
      place: 'team',
    },
    ...storageTroubles(room, kept?.backups ?? [], now).map((words) => ({
      ...{ count: 1, words, to: '/backups', place: 'team' as const },
    })),
  ];
  return all.filter(({ count }) => count > 0);
}
