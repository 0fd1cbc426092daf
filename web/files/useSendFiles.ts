import { useRef, useState } from 'react';
import type { CaseFile } from '#contracts';
import { call, UnreadableFile } from '#client/api';
import { sendFile } from '#client/files';
import { bytesInWords } from '#core/language';
import { KEYS, queryClient } from '../api';

/** A file on its way: how much of it is sent, from 0 to 1. */
export interface FileOnItsWay {
  id: string;
  name: string;
  share: number;
}

/** A file that was not kept, and why. */
export interface FileNotKept {
  id: string;
  error: unknown;
}

/** Refuses a file that the server would, before any of it is sent. Throws an UnreadableFile that says how large it may be. */
export async function mustFit(file: File): Promise<void> {
  const { mostBytes } = await queryClient.fetchQuery({
    queryKey: KEYS.fileLimits,
    queryFn: () => call('fileLimits'),
    staleTime: Infinity,
  });
  if (file.size <= mostBytes) return;
  const [size, most] = [file.size, mostBytes].map((bytes) => bytesInWords(bytes, navigator.language));
  throw new UnreadableFile(`${file.name} has ${size}, and ${most} is the most. It was not saved.`);
}

/** Sends files to be kept with cases, one after another, and tells how far each is. One that is refused keeps no other out. */
export function useSendFiles() {
  const [onTheirWay, setOnTheirWay] = useState<readonly FileOnItsWay[]>([]);
  const [notKept, setNotKept] = useState<readonly FileNotKept[]>([]);
  const stops = useRef(new Map<string, AbortController>());

  const sendOne = async (of: string, id: string, file: File): Promise<CaseFile | null> => {
    const stop = stops.current.get(id)!;
    const progress = (share: number) =>
      setOnTheirWay((now) => now.map((one) => (one.id === id ? { ...one, share } : one)));
    try {
      await mustFit(file);
      return await sendFile(of, id, file, { progress, signal: stop.signal });
    } catch (error) {
      setNotKept((now) => [...now, { id, error }]);
      return null;
    } finally {
      stops.current.delete(id);
      setOnTheirWay((now) => now.filter((one) => one.id !== id));
    }
  };

  /** Sends files to one case; gives those that are kept. */
  const send = async (of: string, files: readonly File[]): Promise<CaseFile[]> => {
    const all = files.map((file) => ({ id: crypto.randomUUID(), file }));
    for (const { id } of all) stops.current.set(id, new AbortController());
    setNotKept([]);
    setOnTheirWay((now) => [...now, ...all.map(({ id, file }) => ({ id, name: file.name, share: 0 }))]);
    const kept: CaseFile[] = [];
    for (const { id, file } of all) {
      const one = await sendOne(of, id, file);
      if (one) kept.push(one);
    }
    await queryClient.invalidateQueries({ queryKey: KEYS.case(of) });
    return kept;
  };
  return { onTheirWay, notKept, send, stop: (id: string) => stops.current.get(id)?.abort() };
}
