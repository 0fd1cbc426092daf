import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { sendFile } from '#client/files';
import { mustFit } from '../../files';
import { isPdf, pageSources, pictureKind } from '../../documents';
import { titleFrom, type DocumentWork } from '../arrival';

/** A PDF or picture that is dropped can be marked: each is a case of its own. */
export const markWork: DocumentWork = {
  isOf: ({ bytes }) => isPdf(bytes) || pictureKind(bytes) !== null,
  label: 'Mark it',
  labelOfMany: 'Mark them',
  asksAlways: true,
  take: async ([one]) => {
    const { file } = one!;
    await mustFit(file);
    // What cannot be shown makes no case.
    (await (await pageSources()).openPages(file)).close();
    const body = { ...newLeaf({ title: titleFrom(file) || file.name }), kind: 'marking' as const };
    const made = await call('makeCase', { body });
    await sendFile(made.id, crypto.randomUUID(), file, {
      progress: () => undefined,
      signal: new AbortController().signal,
    });
    return { cases: [{ case: made, news: null }], remarks: [] };
  },
};
