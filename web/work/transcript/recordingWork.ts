import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { sendFile } from '#client/files';
import { mustFit } from '../../files';
import { isRecording, noRecording } from './recordingOf';
import { titleFrom, type DocumentWork } from '../arrival';

/** Recordings that are dropped become cases to be written down. */
export const recordingWork: DocumentWork = {
  isOf: ({ file }) => /^(audio|video)\//.test(file.type),
  label: 'Write it down',
  labelOfMany: 'Write them down',
  take: async ([one]) => {
    const { file } = one!;
    await mustFit(file);
    const body = { ...newLeaf({ title: titleFrom(file) || file.name }), kind: 'transcript' as const };
    const made = await call('makeCase', { body });
    const kept = await sendFile(made.id, crypto.randomUUID(), file, {
      progress: () => undefined,
      signal: new AbortController().signal,
    });
    return { cases: [{ case: made, news: null }], remarks: isRecording(kept) ? [] : [noRecording(kept)] };
  },
};
