import { Fragment } from 'react';
import { plainWord } from '#core/finder';

const PIECES = /([\p{L}\p{N}]+)/u;

/** A text with some words of it marked, given in their plain form. */
export function WithWords({ text, words }: { text: string; words: ReadonlySet<string> }) {
  return text.split(PIECES).map((piece, at) =>
    at % 2 === 1 && words.has(plainWord(piece)) ? (
      <mark key={at} className="bg-flower text-ink">
        {piece}
      </mark>
    ) : (
      <Fragment key={at}>{piece}</Fragment>
    ),
  );
}
