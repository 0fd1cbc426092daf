import { useMemo } from 'react';
import { mailboxInWords, messageParts, type MessagePart } from '#core/mail';
import type { Attachment, Message } from '#core/message';

/** What is folded away is told by what it is. */
const FOLDED: Record<Exclude<MessagePart['kind'], 'said'>, string> = {
  quoted: 'Earlier messages',
  signature: 'Signature',
};

function Part({ kind, text }: MessagePart) {
  const words = text.replace(/^\n+|\n+$/g, '');
  if (words === '') return null;
  const shown = <div className="break-words whitespace-pre-wrap">{words}</div>;
  if (kind === 'said') return shown;
  return (
    <details className="text-soft">
      <summary className="cursor-pointer font-face text-[13px] text-elder underline">{FOLDED[kind]}</summary>
      <div className="border-l-2 border-hair pl-3">{shown}</div>
    </details>
  );
}

/** Bytes as the text of an address that holds them (RFC 2397). */
function addressOf({ media, content }: Attachment): string {
  let signs = '';
  for (let at = 0; at < content.length; at += 8192)
    signs += String.fromCharCode(...content.subarray(at, at + 8192));
  return `data:${media};base64,${btoa(signs)}`;
}

/** A picture that came within a message: nothing is fetched for it. */
function Picture({ picture }: { picture: Attachment }) {
  const address = useMemo(() => addressOf(picture), [picture]);
  return <img src={address} alt={picture.name} className="max-h-[50vh] max-w-full border border-hair" />;
}

/** A message as it is read: who it is from, when it was sent, and what it says; what is quoted in it and its signature are folded. */
export function MessageRead({ message, isLast }: { message: Message; isLast: boolean }) {
  const { from, to, cc, subject, sentAt, text, pictures } = message;
  const parts = useMemo(() => messageParts(text), [text]);
  const who = from ? mailboxInWords(from) : 'Nobody is named as its sender';
  return (
    <details open={isLast} className="border-t border-hair py-3 first:border-t-0">
      <summary className="flex cursor-pointer flex-wrap items-baseline gap-x-4 text-[14px]">
        <strong className="font-semibold">{who}</strong>
        <span className="min-w-0 break-words text-soft">{subject || 'no subject'}</span>
        {sentAt && (
          <time dateTime={sentAt.toISOString()} className="ml-auto text-[13px] text-soft">
            {sentAt.toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
          </time>
        )}
      </summary>
      <p className="pt-1 text-[13px] text-soft">
        To {to.length > 0 ? to.map(mailboxInWords).join(', ') : 'nobody that is named'}
        {cc.length > 0 && `; copy to ${cc.map(mailboxInWords).join(', ')}`}
      </p>
      <div className="book grid gap-3 pt-2" data-message-text>
        {text === '' ? (
          <p className="text-soft">It has no text.</p>
        ) : (
          parts.map((part, at) => <Part key={at} {...part} />)
        )}
        {pictures.map((picture, at) => (
          <Picture key={at} picture={picture} />
        ))}
      </div>
    </details>
  );
}
