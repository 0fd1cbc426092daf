import { useQueries } from '@tanstack/react-query';
import { useEditorState } from '@tiptap/react';
import type { Case } from '#contracts';
import { inWords, UnreadableFile } from '#client/api';
import { placementsOf } from '../../editor';
import { bytesOfFile } from '#client/files';
import { useState } from 'react';
import { finishedPassage } from '#core/fill';
import { messageOf } from '#core/letter';
import { NO_MATERIAL, type LeafWithMaterial, type Material } from '../../leaf';
import { Button, Key, Notice } from '../../ui';
import { copyRich, documentOf, giveKeys } from '../../writing';
import { AskedBefore } from './AskedBefore';
import { MessageRead } from './MessageRead';
import { messagesOf } from './messagesOf';
import { NearMessage, NEAR_KEY } from './NearMessage';
import { Questions } from './Questions';
import { quote, selectedInMessage } from './quoting';
import { AsItGoesOut } from './sending/AsItGoesOut';
import { Doubtful } from './sending/Doubtful';
import { Letterhead } from './sending/Letterhead';
import { OnItsWay } from './sending/OnItsWay';
import { useHead } from './sending/useHead';
import { useSending } from './sending/useSending';
import type { Message } from '#core/message';
import { useNearMessage } from './useNearMessage';

/** By this key the words selected in a message are quoted in the reply. */
const QUOTE_KEY = 'Alt + T';
/** By this key the message is copied, for a chat or another program. */
const COPY_KEY = 'Alt + V';
/** By this key the reply is sent. */
const SEND_KEY = 'Alt + Enter';

/** The messages of a case, the oldest first; those that cannot be had or read with why. */
function useRead(one: Case): { id: string; message?: Message; error: Error | null }[] {
  const files = messagesOf(one);
  const read = useQueries({
    queries: files.map(({ id, name }) => ({
      queryKey: ['message', one.id, id],
      queryFn: async () => {
        const [{ readMessage }, bytes] = await Promise.all([
          import('#core/message'),
          bytesOfFile(one.id, id, name),
        ]);
        const message = await readMessage(bytes);
        if (message) return message;
        throw new UnreadableFile(`${name} is not an email message: it is among the files of the case.`);
      },
      // What a file holds does not change.
      staleTime: Infinity,
    })),
  });
  const all = read.map(({ data, error }, at) => ({ id: files[at]!.id, message: data, error }));
  const when = ({ message }: (typeof all)[0]) => message?.sentAt?.getTime() ?? 0;
  return all.sort((a, b) => when(a) - when(b));
}

/** The messages that a reply answers, the newest open, with the way to quote what is selected in one; nothing where there are none. */
function Messages({
  messages,
  quote: quoteSelected,
}: {
  messages: ReturnType<typeof useRead>;
  quote: (() => void) | null;
}) {
  if (messages.length === 0) return null;
  return (
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
      {quoteSelected && (
        <p className="text-[13px]" data-print="no">
          <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={quoteSelected}>
            Quote the selected words <Key>{QUOTE_KEY}</Key>
          </Button>
        </p>
      )}
    </section>
  );
}

/** What stands above a reply: the messages it answers, then its own head. */
function useAbove(
  { one, editor, open }: LeafWithMaterial,
  messages: ReturnType<typeof useRead>,
  quoteSelected: () => void,
) {
  const written = useHead(editor, one, messages.length > 0);
  const above = (
    <>
      <AskedBefore of={one.id} />
      <Messages messages={messages} quote={open ? quoteSelected : null} />
      <h2 className="section-head border-t border-hair px-9 pt-4 max-[899px]:px-4">Reply</h2>
      <Letterhead written={written} open={open} giveKeys={() => giveKeys(editor.view)} />
    </>
  );
  return { above, head: written.head };
}

/** The messages that a reply answers above it, to whom it goes, and what sends it. */
export function useMessages(leaf: LeafWithMaterial): Material {
  const { one, draft, editor, open, say, place } = leaf;
  const messages = useRead(one);
  const answered = messages.at(-1)?.message ?? null;
  const { near, index, error: nearFailed } = useNearMessage(answered);
  const sending = useSending(leaf, answered);
  const [isLookedAt, lookAt] = useState(false);
  const placed = useEditorState({
    editor,
    selector: ({ editor: { state } }) => Object.values(placementsOf(state.doc)).map(({ entry }) => entry),
  });
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
  const { above, head } = useAbove(leaf, messages, quoteSelected);
  const backToText = (before: () => void) => () => {
    before();
    giveKeys(editor.view);
  };
  const copy = () => {
    if (!leaf.isWhole()) return;
    copyRich(messageOf(finishedPassage(documentOf(editor)))).then(
      () => say('Copied. Where formatting is not taken, it is pasted as plain text.'),
      () => say('The browser blocked copying. Click into the text, then try again.'),
    );
  };
  const ofMessages = [
    { label: 'Place the entry nearest to the message', key: NEAR_KEY, run: placeNearest },
    { label: 'Quote the selected words of the message', key: QUOTE_KEY, run: quoteSelected },
  ];
  const ofLetter = [
    { label: 'Send the letter', key: SEND_KEY, run: sending.send },
    { label: 'Look at the letter as it goes out', run: () => lookAt(true) },
    { label: 'Copy the message, for a chat or another program', key: COPY_KEY, run: copy },
  ];
  return {
    ...NO_MATERIAL,
    above,
    beside: open && (
      <>
        {sending.error && <Notice tone="warning" title={inWords(sending.error)} />}
        {sending.doubts.length > 0 && (
          <Doubtful doubts={sending.doubts} sendSo={sending.sendSo} letBe={backToText(sending.letBe)} />
        )}
        {isLookedAt && <AsItGoesOut editor={editor} head={head} close={backToText(() => lookAt(false))} />}
        <SendingWays {...{ sending }} look={() => lookAt(true)} />
        {answered && <Questions message={answered} of={one.id} place={place} placed={new Set(placed)} />}
        {nearFailed && (
          <Notice tone="warning" title={`The nearest entries could not be found: ${inWords(nearFailed)}`} />
        )}
        {index && near.length > 0 && <NearMessage {...{ near, index, place }} placed={new Set(placed)} />}
      </>
    ),
    outcome: ({ reopen }) => <OnItsWay draft={draft.id} takeBack={reopen} />,
    actions: open ? [...(messages.length > 0 ? ofMessages : []), ...ofLetter] : [],
  };
}

/** The way to send a letter, and to look at it before. */
const SendingWays = ({ sending, look }: { sending: ReturnType<typeof useSending>; look: () => void }) => (
  <p className="mb-4 flex flex-wrap items-baseline gap-3">
    <Button
      disabled={sending.isPending}
      onMouseDown={(event) => event.preventDefault()}
      onClick={sending.send}
    >
      Send <Key>{SEND_KEY}</Key>
    </Button>
    <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={look}>
      As it goes out
    </Button>
  </p>
);
