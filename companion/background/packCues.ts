import { makeIndex, makeReach, type Bank } from '#core/bank';
import type { CompanionBeginning } from '#contracts';
import type { CueRules, ResolvedCue } from '#core/cue';
import type { PackedCues } from '../messages';

/** In other pages everything is in reach that is not switched out where no case is. */
export const ANY_WORK = 'leaf';

/** The cues in reach as pages are sent them, and those that are patterns. Their print tells whether they are the same as before. */
export function packCues(
  bank: Bank,
  { reach: own }: Pick<CompanionBeginning, 'reach'>,
  print: string,
): { cues: PackedCues; patterns: ResolvedCue[] } {
  const index = makeIndex(bank);
  const reach = makeReach(index, ANY_WORK, own ?? undefined);
  const leadIns = reach.entries.map(({ collection }) => index.collections.get(collection)!.leadIn);
  const rules: CueRules[] = [];
  const numbers = new Map<string, number>();
  const numberOf = (of: CueRules): number => {
    const key = JSON.stringify(of);
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, rules.length);
    return rules.push(of) - 1;
  };
  return {
    cues: {
      print,
      rules,
      typed: reach.typed.map(({ typed, entry, rules: of }) => [typed, entry, numberOf(of)]),
      keys: reach.keys.map(({ typed, entry }) => [typed, entry]),
      hasPatterns: reach.patterns.length > 0,
      leadIns: [...new Set(leadIns)].filter((leadIn) => leadIn !== ''),
    },
    patterns: reach.patterns,
  };
}
