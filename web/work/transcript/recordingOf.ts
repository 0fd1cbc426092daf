import type { Case, CaseFile } from '#contracts';

/** Whether a file holds sound or film, by what is in it. */
export const isRecording = ({ media }: Pick<CaseFile, 'media'>): boolean => /^(audio|video)\//.test(media);

/** What is said of a file that was taken for a recording and is none. */
export const noRecording = ({ name }: Pick<CaseFile, 'name'>): string =>
  `${name} holds no sound that is known here. It is among the files of the case.`;

/** The recording of a case: of its files the sound or film that was added last; null where there is none. */
export const recordingOf = ({ files }: Pick<Case, 'files'>): CaseFile | null =>
  files.findLast(isRecording) ?? null;
