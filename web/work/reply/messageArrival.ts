import type { NewCase } from '#contracts';
import { call, inWords } from '#client/api';
import { newLeaf } from '#client/cases';
import { sendFile } from '#client/files';
import { cutTo } from '#core/language';
import { languageOfText, messageParts, plainSubject } from '#core/mail';
import { mustFit } from '../../files';
import { endsIn, titleFrom, type Arrival } from '../arrival';
import type { Message } from './readMessage';

const MOST_TITLE = 200;
/** As a message of another program is called, or begins. */
const HEADS =
  /^(?:(?:return-path|received|delivered-to|from|to|subject|date|message-id|mime-version|x-[\w-]+):.*\r?\n(?:[ \t].*\r?\n)*){3}/i;

const text = (words: string) => ({ kind: 'text' as const, text: words });

/** What a message tells of who asks, of what, and in which language where that is plain: the answer is in it. */
function detailsOf({ from, subject, text: written }: Message): NewCase['details'] {
  const about = plainSubject(subject);
  const said = messageParts(written).filter(({ kind }) => kind === 'said');
  const spoken = languageOfText(said.map((part) => part.text).join('\n'));
  return [
    ...(from?.name ? [{ path: 'customer' as const, value: text(from.name) }] : []),
    ...(from?.address ? [{ path: 'email' as const, value: text(from.address) }] : []),
    ...(about ? [{ path: 'topic' as const, value: text(about) }] : []),
    ...(spoken?.isSure ? [{ path: 'language' as const, value: text(spoken.language) }] : []),
  ];
}

/** What was sent along is saved with the case, each file by itself: one that cannot be is told, and keeps no other out. */
async function saveAlong(of: string, files: readonly File[]): Promise<string[]> {
  const remarks: string[] = [];
  for (const file of files) {
    try {
      await mustFit(file);
      const way = { progress: () => undefined, signal: new AbortController().signal };
      await sendFile(of, crypto.randomUUID(), file, way);
    } catch (error) {
      remarks.push(`${file.name} was not saved with it: ${inWords(error)}`);
    }
  }
  return remarks;
}

/** A message that is dropped becomes an enquiry to be answered; it is among the files of its case, with what came along. */
export const messageArrival: Arrival = {
  isOf: (dropped) => endsIn(dropped, ['.eml']) || (dropped.text !== null && HEADS.test(dropped.text)),
  take: async ([one]) => {
    const { file, bytes } = one!;
    await mustFit(file);
    const { readMessage } = await import('./readMessage');
    const message = await readMessage(
      bytes.length > 0 ? bytes : new Uint8Array(await file.arrayBuffer()),
      file.name,
    );
    const title = plainSubject(message.subject) || message.from?.name || titleFrom(file) || file.name;
    const body = {
      ...newLeaf({ title: cutTo(title, MOST_TITLE) }),
      kind: 'reply' as const,
      details: detailsOf(message),
    };
    const made = await call('makeCase', { body });
    const named = endsIn({ file }, ['.eml']) ? file : new File([file], `${file.name}.eml`);
    const remarks = await saveAlong(made.id, [named, ...message.attachments]);
    return { cases: [{ case: made, news: null }], remarks };
  },
};
