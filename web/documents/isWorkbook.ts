import { isArchive, listArchive } from './archive';

/** Whether bytes are a workbook of Office Open XML. Throws an UnreadableFile for a broken archive. */
export const isWorkbook = async (bytes: Uint8Array, called: string): Promise<boolean> =>
  isArchive(bytes) &&
  (await listArchive(bytes, called)).some(({ name }) => /^xl\/workbook\.xml$/i.test(name));
