/** What can be done with the comment at hand: by its name in the look-up, in short beside it, and its key. */
export const ACTS = [
  { id: 'move', label: 'Put this comment on other words', short: 'Other words', key: 'Alt + E' },
  { id: 'copy', label: 'Copy this comment to other words', short: 'Copy', key: null },
  { id: 'whole', label: 'Say it here in whole', short: 'In whole', key: 'Alt + Z' },
  { id: 'delete', label: 'Delete this comment', short: 'Delete', key: null },
] as const;
