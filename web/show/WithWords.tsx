import { Fragment } from 'react';
import { stemOf } from '#core/finder';

const PIECES = /([\p{L}\p{N}]+)/u;

/** A text with some words of it marked, in whatever form: given by their stems. */
export function WithWords({ text, words }: { text: string; words: ReadonlySet<string> }) {
  return text.split(PIECES).map((piece, at) =>
    at % 2 === 1 && words.has(stemOf(piece)) ? (
      <mark key={at} className="bg-flower text-ink">
        {piece}
      </mark>
    ) : (
      <Fragment key={at}>{piece}</Fragment>
    ),
  );
}
