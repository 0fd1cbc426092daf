import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { isPdf, pictureKind } from '../../documents';
import { titleFrom, type DocumentWork } from '../arrival';

/** Scans that are dropped become one tray: they wait there to be named, on this computer. */
export const trayWork: DocumentWork = {
  isOf: ({ bytes }) => isPdf(bytes) || pictureKind(bytes) !== null,
  label: 'Name it',
  labelOfMany: 'Name them',
  areOne: true,
  asksAlways: true,
  take: async (dropped) => {
    const { handOnFiles } = await import('./here/trayFiles');
    const files = dropped.map(({ file }) => file);
    const title = files.length === 1 ? titleFrom(files[0]!) : `${files.length.toLocaleString()} scans`;
    const body = { ...newLeaf({ title: title || files[0]!.name }), kind: 'naming' as const };
    const made = await call('makeCase', { body });
    handOnFiles(made.id, files);
    return { cases: [{ case: made, news: null }], remarks: [] };
  },
};
