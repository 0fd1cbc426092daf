import type { Case, CaseFile } from '#contracts';

/** The messages among the files of a case, as they were added. */
export const messagesOf = ({ files }: Pick<Case, 'files'>): CaseFile[] =>
  files.filter(({ media, name }) => media === 'message/rfc822' || name.toLowerCase().endsWith('.eml'));
