const collator = new Intl.Collator(undefined, { numeric: true });

/** Names and titles in the order people look for them in: by the reader's language, and “Group 2” before “Group 10”. */
export const inOrder = (a: string, b: string): number => collator.compare(a, b);
