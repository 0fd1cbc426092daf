import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Entry, Nearest } from '#contracts';
import type { BankIndex } from '#core/bank';
import { searchWords, stemOf } from '#core/finder';
import { cutTo } from '#core/language';
import { messageParts } from '#core/mail';
import { call } from '#client/api';
import { KEYS, useBankIndex, useReach } from '../../api';
import type { Message } from '#core/message';

/** So many are offered. */
const SHOWN = 4;
/** No more of a message is asked about. */
const LONGEST = 20_000;

/** What is said in a message itself, with its subject: not what it quotes. */
const askedBy = ({ subject, text }: Message): string =>
  [
    subject,
    ...messageParts(text)
      .filter(({ kind }) => kind === 'said')
      .map((part) => part.text),
  ]
    .join('\n')
    .trim();

/** Shorter words say nothing of what a message is about. */
const TELLING = 5;
const TOLD = 5;

/** Words of a message as they stand in it that an entry has too, by their stems: the first few that tell something. */
function wordsShared(message: string, stems: readonly string[]): string[] {
  const shared = new Set(stems);
  const words = searchWords(message).filter((word) => word.length >= TELLING && shared.has(stemOf(word)));
  return [...new Set(words.map((word) => word.toLowerCase()))].slice(0, TOLD);
}

/** Of the entries in reach those nearest to some words, the nearest first, each with the words they share. */
export function useNear(asked: string): {
  near: Nearest['entries'];
  index: BankIndex | null;
  error: Error | null;
} {
  const index = useBankIndex();
  const reach = useReach(index, 'reply');
  const { data, error } = useQuery({
    queryKey: [...KEYS.search, 'nearest', asked],
    queryFn: ({ signal }) => call('nearest', { body: { text: asked }, signal }),
    enabled: asked !== '',
  });
  const near = useMemo(() => {
    const inReach = new Set(reach?.entries.map(({ id }: Entry) => id));
    return (data?.entries ?? [])
      .filter(({ entry }) => inReach.has(entry.id))
      .slice(0, SHOWN)
      .map(({ entry, words }) => ({ entry, words: wordsShared(asked, words) }));
  }, [data, reach, asked]);
  return { near, index, error };
}

/** The entries nearest to a message. */
export const useNearMessage = (message: Message | null) =>
  useNear(message ? cutTo(askedBy(message), LONGEST) : '');
