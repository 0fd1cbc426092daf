import { useMutation } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { MOST_LETTERS_AT_ONCE, type WayOut } from '#contracts';
import { call } from '#client/api';
import { calendarToday } from '#client/clock';
import { offerAs } from '#client/files';
import { startLetterFiles, type LetterForm } from '#client/letters';
import { addressLabel, fileNamesOf, type BatchSetup } from '#core/batch';
import { zipped } from '../../../documents';
import type { Letter } from '../letterMaker';
import { intoDocuments } from './intoDocuments';
import { lettersToWrite } from './writtenLetters';

/** What letters can be written as. */
export type Form = LetterForm | 'eml-each' | 'into-docx' | 'labels';

/** As what letters have gone out that went in a form; null where that is no letter. */
export const WAY_OF: Record<Form, WayOut | null> = {
  ...{ docx: 'docx', 'docx-each': 'docx', pdf: 'pdf', 'pdf-each': 'pdf', 'html-each': 'html' },
  ...{ 'text-each': 'text', 'eml-each': 'eml', 'into-docx': 'docx', labels: null },
};

/** What came of writing letters. */
export interface Written {
  form: Form;
  letters: readonly Letter[];
  remarks: string[];
}

class Stopped extends Error {}

/** Letters as messages in an archive; what keeps one from being a letter is told. */
async function messagesOf(
  of: string,
  setup: BatchSetup,
  letters: readonly Letter[],
  tell: (done: number) => void,
  isOver: () => boolean,
): Promise<{ bytes: Uint8Array; written: Letter[]; remarks: string[] }> {
  const files: Record<string, Uint8Array> = {};
  const names = fileNamesOf(
    setup,
    letters.map(({ row }) => row),
  );
  const remarks: string[] = [];
  const written: Letter[] = [];
  for (let at = 0; at < letters.length; at += MOST_LETTERS_AT_ONCE) {
    if (isOver()) throw new Stopped();
    const part = letters.slice(at, at + MOST_LETTERS_AT_ONCE);
    const { messages, faults } = await call('batchMessages', {
      params: { case: of },
      body: {
        letters: part.map(({ row, document }) => ({ row: row.id, document: document! })),
        today: calendarToday(),
      },
    });
    for (const { row, message } of messages) {
      const place = letters.findIndex((each) => each.row.id === row);
      files[`${names[place]}.eml`] = new TextEncoder().encode(message);
      written.push(letters[place]!);
    }
    for (const { row, words } of faults)
      remarks.push(`${letters.find((each) => each.row.id === row)?.name}: ${words.join(' ')}`);
    tell(at + part.length);
  }
  return { bytes: await zipped(files), written, remarks };
}

/** Writes letters into files, away from the keys, till it is stopped. */
export function useWriting(of: string, title: string, setup: BatchSetup) {
  const end = useRef<(() => void) | null>(null);
  const [done, setDone] = useState(0);
  const write = useMutation({
    mutationFn: async ({ form, letters }: { form: Form; letters: readonly Letter[] }): Promise<Written> => {
      setDone(0);
      let isOver = false;
      const stopped = new Promise<never>((_, reject) => {
        end.current = () => {
          isOver = true;
          reject(new Stopped());
        };
      });
      if (form === 'eml-each' || form === 'into-docx') {
        const make = form === 'eml-each' ? messagesOf : intoDocuments;
        const work = make(of, setup, letters, setDone, () => isOver);
        const { bytes, written, remarks } = await Promise.race([work, stopped]);
        if (written.length > 0) offerAs('zip', bytes, title);
        return { form, letters: written, remarks };
      }
      const worker = startLetterFiles();
      try {
        const labels = letters
          .map(({ row }) => addressLabel(setup, row.cells))
          .filter((lines) => lines.length > 1);
        const work =
          form === 'labels'
            ? worker.remote.labels(labels, title)
            : worker.remote.write(form, lettersToWrite(setup, letters), title, proxy(setDone));
        const { bytes, format, missed } = await Promise.race([work, stopped]);
        offerAs(format, bytes, title);
        return { form, letters, remarks: missed.map((each) => `The PDF has no sign for: ${each}`) };
      } finally {
        worker.end();
      }
    },
  });
  useEffect(() => () => end.current?.(), []);
  return {
    write,
    done,
    stop: () => end.current?.(),
    error: write.error instanceof Stopped ? null : write.error,
  };
}
