import { useMemo } from 'react';
import { questionsIn } from '#core/mail';
import type { Message } from '#core/message';
import { Button, useRemembered } from '../../ui';
import { useNear } from './useNearMessage';

interface OnReply {
  /** The entries that the reply has already. */
  placed: ReadonlySet<string>;
  place: (entry: string) => void;
}

/** One question: answered where it was ticked, or the entry that is nearest to it was placed. */
function Question({ text, name, placed, place }: OnReply & { text: string; name: string }) {
  const { near } = useNear(text);
  const [isTicked, tick] = useRemembered(`answered.${name}`, false);
  // With a word in common before one that is only alike.
  const nearest = (near.find(({ words }) => words.length > 0) ?? near[0])?.entry;
  const isPlaced = nearest !== undefined && placed.has(nearest.id);
  return (
    <li className="border-b border-hair py-1.5">
      <label className="flex items-baseline gap-2 text-[14px]">
        <input
          type="checkbox"
          checked={isTicked || isPlaced}
          disabled={isPlaced}
          onChange={tick}
          className="accent-elder"
        />
        <span className={isTicked || isPlaced ? 'text-soft' : ''}>{text}</span>
      </label>
      {nearest && (
        <p className="pl-5 text-[13px] text-soft">
          {isPlaced ? (
            `Answered by “${nearest.content.title}”`
          ) : (
            <Button
              look="text"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => place(nearest.id)}
            >
              {nearest.content.title}
            </Button>
          )}
        </p>
      )}
    </li>
  );
}

/** What a message asks, where it asks more than one thing: a tick for each that the reply answers. */
export function Questions({ message, of, ...onReply }: OnReply & { message: Message; of: string }) {
  const questions = useMemo(() => questionsIn(message.text), [message.text]);
  if (questions.length < 2) return null;
  return (
    <section aria-label="Questions" className="mb-5">
      <h2 className="section-head">Questions in the message</h2>
      <ul>
        {questions.map((text, at) => (
          <Question key={text} {...{ text, ...onReply }} name={`${of}.${message.id ?? ''}.${at}`} />
        ))}
      </ul>
    </section>
  );
}
