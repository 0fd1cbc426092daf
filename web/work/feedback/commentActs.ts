import type { FeedbackActs } from './feedbackActs';

/** Something that can be done with the comment at hand. */
interface CommentAct {
  id: 'counts' | 'move' | 'copy' | 'whole' | 'delete' | 'chat' | 'chat-plain';
  /** Its name in the look-up. */
  label: string;
  /** Its name beside the comment; null for one that is looked up alone. */
  short: string | null;
  key: string | null;
  run: (acts: FeedbackActs) => void;
}

/** What can be done with the comment at hand. */
export const COMMENT_ACTS: readonly CommentAct[] = [
  {
    ...{
      id: 'counts',
      label: 'This comment counts as: fault, praise, neither',
      short: 'Counts as',
      key: 'Alt + ,',
    },
    run: (acts) => acts.countAsNext(),
  },
  {
    ...{ id: 'move', label: 'Put this comment on other words', short: 'Other words', key: 'Alt + E' },
    run: (acts) => acts.beginLaying('move'),
  },
  {
    ...{ id: 'copy', label: 'Copy this comment to other words', short: 'Also on other words', key: null },
    run: (acts) => acts.beginLaying('copy'),
  },
  {
    ...{ id: 'whole', label: 'Say it here in whole', short: 'In whole', key: 'Alt + Z' },
    run: (acts) => acts.sayInWhole(),
  },
  {
    ...{ id: 'chat', label: 'Copy the words of this comment', short: 'Copy words', key: 'Alt + /' },
    run: (acts) => acts.copyWords('rich'),
  },
  {
    ...{ id: 'chat-plain', label: 'Copy the words of this comment as plain text', short: null, key: null },
    run: (acts) => acts.copyWords('plain'),
  },
  {
    ...{ id: 'delete', label: 'Delete this comment', short: 'Delete', key: null },
    run: (acts) => acts.remove(),
  },
];
