import type { BankIndex } from './bankIndex';

/**
 * Cues, without lead-in, that a new one with this lead-in must not clash with: those of every collection
 * that is seen, since two may be in reach together. `except` leaves out one entry's own.
 */
export function takenCues({ bank, collections }: BankIndex, leadIn: string, except?: string): string[] {
  return bank.entries.flatMap((entry) => {
    if (entry.id === except || entry.content.retired) return [];
    return entry.content.cues.flatMap((cue) => {
      if (cue.as) return [];
      const typed = (collections.get(entry.collection)?.leadIn ?? '') + cue.text;
      return typed.startsWith(leadIn) ? [typed.slice(leadIn.length)] : [];
    });
  });
}
