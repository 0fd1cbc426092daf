import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { isArchive, isPdf, listArchive } from '../../documents';
import { titleFrom, type DocumentWork, type Dropped } from '../arrival';

/** Whether a file is a document that is read to be commented: Word, OpenDocument text, PDF. */
async function isDocument({ file, bytes }: Dropped): Promise<boolean> {
  if (isPdf(bytes)) return true;
  if (!isArchive(bytes)) return false;
  const names = (await listArchive(bytes, file.name)).map(({ name }) => name);
  return names.includes('word/document.xml') || (names.includes('mimetype') && names.includes('content.xml'));
}

/** Documents that are dropped become submissions, each a case of its own. */
export const submissionWork: DocumentWork = {
  isOf: isDocument,
  label: 'Comment on it',
  labelOfMany: 'Comment on them',
  take: async ({ file }) => {
    // With what reads them: fetched only by those who drop one. What cannot be read makes no case.
    const { readSubmission, takeInRead } = await import('./takeIn');
    const submission = await readSubmission(file);
    const body = { ...newLeaf({ title: titleFrom(file) || file.name }), kind: 'feedback' as const };
    const made = await call('makeCase', { body });
    await takeInRead(made.id, file, submission);
    return { cases: [{ case: made, news: null }], remarks: [] };
  },
};
