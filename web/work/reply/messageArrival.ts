import { KEYS, queryClient } from '../../api';
import { MOST_MESSAGE_BYTES, type TakenMessage } from '#contracts';
import { isProblem, UnreadableFile } from '#client/api';
import { sendMessage } from '#client/files';
import { endsIn, type Arrival, type Arrived } from '../arrival';

/** As a message of another program is called, or begins. */
const HEADS =
  /^(?:(?:return-path|received|delivered-to|from|to|subject|date|message-id|mime-version|x-[\w-]+):.*\r?\n(?:[ \t].*\r?\n)*){3}/i;

/** What became of a message, as a drop tells it. */
function arrivedOf(name: string, { case: one, came, remarks }: TakenMessage): Arrived {
  if (one === null) return { cases: [], remarks: [`${name}: ${remarks.join(' ')}`] };
  const news = {
    made: null,
    joined: ['The message belongs to it.'],
    known: ['The message was here before; nothing was added.'],
  }[came];
  return { cases: [{ case: one, news }], remarks };
}

/**
 * A message that is dropped becomes an enquiry to be answered, or a part of the one it belongs to; it is among the files of its case, with
 * what came along.
 */
export const messageArrival: Arrival = {
  isOf: (dropped) => endsIn(dropped, ['.eml']) || (dropped.text !== null && HEADS.test(dropped.text)),
  take: async ([one]) => {
    const { file } = one!;
    if (file.size > MOST_MESSAGE_BYTES)
      throw new UnreadableFile(
        `${file.name} is larger than ${MOST_MESSAGE_BYTES / 1_000_000} MB. Nothing was made of it.`,
      );
    const taken = await sendMessage(file).catch((error: unknown) => {
      if (!isProblem(error, 'not-valid')) throw error;
      throw new UnreadableFile(
        `${file.name} is not an email message: it has no sender, no subject and no date. Nothing was made of it.`,
      );
    });
    void queryClient.invalidateQueries({ queryKey: KEYS.queue });
    return arrivedOf(file.name, taken);
  },
};
