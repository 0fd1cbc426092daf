import { useQueries } from '@tanstack/react-query';
import { useEditorState } from '@tiptap/react';
import type { Case } from '#contracts';
import { inWords } from '#client/api';
import { placementsOf } from '../../editor';
import { bytesOfFile } from '#client/files';
import { NO_MATERIAL, type LeafWithMaterial, type Material } from '../../leaf';
import { Button, Key, Notice } from '../../ui';
import { MessageRead } from './MessageRead';
import { messagesOf } from './messagesOf';
import { NearMessage, NEAR_KEY } from './NearMessage';
import { quote, selectedInMessage } from './quoting';
import type { Message } from './readMessage';
import { useNearMessage } from './useNearMessage';

/** By this key the words selected in a message are quoted in the reply. */
const QUOTE_KEY = 'Alt + T';

/** The messages of a case, the oldest first; those that cannot be had or read with why. */
function useRead(one: Case): { id: string; message?: Message; error: Error | null }[] {
  const files = messagesOf(one);
  const read = useQueries({
    queries: files.map(({ id, name }) => ({
      queryKey: ['message', one.id, id],
      queryFn: async () => {
        const [{ readMessage }, bytes] = await Promise.all([
          import('./readMessage'),
          bytesOfFile(one.id, id, name),
        ]);
        return readMessage(bytes, name);
      },
      // What a file holds does not change.
      staleTime: Infinity,
    })),
  });
  const all = read.map(({ data, error }, at) => ({ id: files[at]!.id, message: data, error }));
  const when = ({ message }: (typeof all)[0]) => message?.sentAt?.getTime() ?? 0;
  return all.sort((a, b) => when(a) - when(b));
}

/** The messages that a reply answers, above it, the newest open; words selected in one are quoted by a key. */
export function useMessages({ one, editor, open, say, place }: LeafWithMaterial): Material {
  const messages = useRead(one);
  const { near, index } = useNearMessage(messages.at(-1)?.message ?? null);
  const placed = useEditorState({
    editor,
    selector: ({ editor: { state } }) => Object.values(placementsOf(state.doc)).map(({ entry }) => entry),
  });
  if (messages.length === 0) return NO_MATERIAL;
  const placeNearest = () => {
    const next = near.find(({ entry }) => !placed.includes(entry.id));
    if (next) place(next.entry.id);
    else say('Nothing else in reach is near to the message.');
  };
  const quoteSelected = () => {
    const words = selectedInMessage();
    say(words === '' ? 'Select words of the message first.' : null);
    if (words !== '') quote(editor, words);
  };
  const above = (
    <section aria-label="Messages" className="px-9 pb-3 max-[899px]:px-4">
      {messages.map(({ id, message, error }, at) => {
        if (message) return <MessageRead key={id} message={message} isLast={at === messages.length - 1} />;
        return error ? (
          <Notice key={id} tone="warning" title={inWords(error)} />
        ) : (
          <p key={id} className="py-3 text-soft">
            The message is being read …
          </p>
        );
      })}
      {open && (
        <p className="text-[13px]" data-print="no">
          <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={quoteSelected}>
            Quote the selected words <Key>{QUOTE_KEY}</Key>
          </Button>
        </p>
      )}
    </section>
  );
  return {
    ...NO_MATERIAL,
    above,
    textName: 'Reply',
    beside: open && index && near.length > 0 && (
      <NearMessage {...{ near, index, place }} placed={new Set(placed)} />
    ),
    actions: open
      ? [
          { label: 'Place the entry nearest to the message', key: NEAR_KEY, run: placeNearest },
          { label: 'Quote the selected words of the message', key: QUOTE_KEY, run: quoteSelected },
        ]
      : [],
  };
}
