import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { documentKind } from '../../documents';
import { titleFrom, type DocumentWork } from '../arrival';

/** Documents that are dropped become submissions, each a case of its own. */
export const submissionWork: DocumentWork = {
  // Word, OpenDocument text, PDF.
  isOf: async ({ file, bytes }) => (await documentKind(bytes, file.name)) !== null,
  label: 'Comment on it',
  labelOfMany: 'Comment on them',
  take: async ([one]) => {
    const { file } = one!;
    // With what reads them: fetched only by those who drop one. What cannot be read makes no case.
    const { readSubmission, takeInRead } = await import('./takeIn');
    const submission = await readSubmission(file);
    const body = { ...newLeaf({ title: titleFrom(file) || file.name }), kind: 'feedback' as const };
    const made = await call('makeCase', { body });
    await takeInRead(made.id, file, submission);
    return { cases: [{ case: made, news: null }], remarks: [] };
  },
};
