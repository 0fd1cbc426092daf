import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { isPdf, pictureKind } from '../../documents';
import { titleFrom, type DocumentWork } from '../arrival';
import { readPage, savePage } from './readPage';

/** A PDF or picture that is dropped can be marked: each is a case of its own. */
export const markWork: DocumentWork = {
  isOf: ({ bytes }) => isPdf(bytes) || pictureKind(bytes) !== null,
  label: 'Mark it',
  labelOfMany: 'Mark them',
  asksAlways: true,
  take: async ([one]) => {
    const { file } = one!;
    // What cannot be shown makes no case.
    const page = await readPage(file);
    const body = { ...newLeaf({ title: titleFrom(file) || file.name }), kind: 'marking' as const };
    const made = await call('makeCase', { body });
    await savePage(made, page);
    return { cases: [{ case: made, news: null }], remarks: [] };
  },
};
