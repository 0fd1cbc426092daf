import type { FeedbackActs } from './feedbackActs';

/** Something that can be done with the comment at hand. */
interface CommentAct {
  id: 'move' | 'copy' | 'whole' | 'delete';
  /** Its name in the look-up. */
  label: string;
  /** Its name beside the comment. */
  short: string;
  key: string | null;
  run: (acts: FeedbackActs) => void;
}

/** What can be done with the comment at hand. */
export const COMMENT_ACTS: readonly CommentAct[] = [
  {
    ...{ id: 'move', label: 'Put this comment on other words', short: 'Other words', key: 'Alt + E' },
    run: (acts) => acts.beginLaying('move'),
  },
  {
    ...{ id: 'copy', label: 'Copy this comment to other words', short: 'Copy', key: null },
    run: (acts) => acts.beginLaying('copy'),
  },
  {
    ...{ id: 'whole', label: 'Say it here in whole', short: 'In whole', key: 'Alt + Z' },
    run: (acts) => acts.sayInWhole(),
  },
  {
    ...{ id: 'delete', label: 'Delete this comment', short: 'Delete', key: null },
    run: (acts) => acts.remove(),
  },
];
