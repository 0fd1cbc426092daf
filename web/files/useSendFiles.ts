import { useRef, useState } from 'react';
import type { CaseFile } from '#contracts';
import { call, UnreadableFile } from '#client/api';
import { againWhenReached, sendEntryFile, sendFile } from '#client/files';
import { MOST_ENTRY_FILE_BYTES, type EntryFile } from '#core/entry';
import { bytesInWords } from '#core/language';
import { KEYS, queryClient } from '../api';

/** A file on its way: how much of it is sent, from 0 to 1. */
export interface FileOnItsWay {
  id: string;
  name: string;
  share: number;
  /** Whether its way broke off: it goes again once the server is reached. */
  isWaiting: boolean;
}

/** A file that was not kept, and why. */
export interface FileNotKept {
  id: string;
  error: unknown;
}

/**
 * Refuses a file that the server would, before any of it is sent: one larger than files may be here, or than `most` bytes where
 * that is less. Throws an UnreadableFile that says how large it may be.
 */
export async function mustFit(file: File, most = Infinity): Promise<void> {
  const { mostBytes } = await queryClient.fetchQuery({
    queryKey: KEYS.fileLimits,
    queryFn: () => call('fileLimits'),
    staleTime: Infinity,
  });
  const limit = Math.min(most, mostBytes);
  if (file.size <= limit) return;
  const [size, allowed] = [file.size, limit].map((bytes) => bytesInWords(bytes, navigator.language));
  throw new UnreadableFile(`${file.name} has ${size}, and ${allowed} is the most. It was not saved.`);
}

type SendOne<Kept> = (id: string, file: File, sending: Parameters<typeof sendFile>[3]) => Promise<Kept>;

/** Sends files one after another, and tells how far each is. One that is refused keeps no other out. */
function useSending() {
  const [onTheirWay, setOnTheirWay] = useState<readonly FileOnItsWay[]>([]);
  const [notKept, setNotKept] = useState<readonly FileNotKept[]>([]);
  const stops = useRef(new Map<string, AbortController>());

  const sendOne = async <Kept>(id: string, file: File, one: SendOne<Kept>): Promise<Kept | null> => {
    const stop = stops.current.get(id)!;
    const { signal } = stop;
    const show = (change: Partial<FileOnItsWay>) =>
      setOnTheirWay((now) => now.map((each) => (each.id === id ? { ...each, ...change } : each)));
    const sending = { progress: (share: number) => show({ share }), signal };
    const waits = (isWaiting: boolean) => show({ isWaiting, share: 0 });
    try {
      return await againWhenReached(() => one(id, file, sending), { name: file.name, signal, waits });
    } catch (error) {
      setNotKept((now) => [...now, { id, error }]);
      return null;
    } finally {
      stops.current.delete(id);
      setOnTheirWay((now) => now.filter((each) => each.id !== id));
    }
  };

  /** Sends each by `one`; gives those that are kept. */
  const sendAll = async <Kept>(files: readonly File[], one: SendOne<Kept>): Promise<Kept[]> => {
    const all = files.map((file) => ({ id: crypto.randomUUID(), file }));
    for (const { id } of all) stops.current.set(id, new AbortController());
    setNotKept([]);
    const begun = all.map(({ id, file }) => ({ id, name: file.name, share: 0, isWaiting: false }));
    setOnTheirWay((now) => [...now, ...begun]);
    const kept: Kept[] = [];
    for (const { id, file } of all) {
      const done = await sendOne(id, file, one);
      if (done) kept.push(done);
    }
    return kept;
  };
  return { onTheirWay, notKept, sendAll, stop: (id: string) => stops.current.get(id)?.abort() };
}

/** Files being sent, as the page shows them. */
export type SendingFiles = Omit<ReturnType<typeof useSending>, 'sendAll'>;

/** Sends files to be kept with cases. */
export function useSendFiles() {
  const { sendAll, ...sending } = useSending();
  const send = async (of: string, files: readonly File[]): Promise<CaseFile[]> => {
    const kept = await sendAll(files, async (id, file, told) => {
      await mustFit(file);
      return sendFile(of, id, file, told);
    });
    await queryClient.invalidateQueries({ queryKey: KEYS.case(of) });
    return kept;
  };
  return { ...sending, send };
}

/** Sends files that are to go along with an entry; each is given to `take` as soon as it is there. */
export function useSendEntryFiles(take: (file: EntryFile) => void) {
  const { sendAll, ...sending } = useSending();
  const send = (files: readonly File[]) =>
    sendAll(files, async (_id, file, told) => {
      await mustFit(file, MOST_ENTRY_FILE_BYTES);
      const kept = await sendEntryFile(file, told);
      take(kept);
      return kept;
    });
  return { ...sending, send };
}
