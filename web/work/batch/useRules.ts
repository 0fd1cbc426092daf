import { useMemo, useState } from 'react';
import type { BatchRow } from '#contracts';
import { Decider, type BatchSetup, type Rule } from '#core/batch';
import { isSame } from '#core/difference';
import type { Condition } from '#core/entry';

const freshId = (rules: readonly Rule[]): string => {
  let count = rules.length + 1;
  while (rules.some(({ id }) => id === `r${count}`)) count += 1;
  return `r${count}`;
};

/** A rule behind others: with an id of its own where one of them has its. */
const withRule = (rules: readonly Rule[], rule: Rule): Rule[] => [
  ...rules,
  rules.some(({ id }) => id === rule.id) ? { ...rule, id: freshId(rules) } : rule,
];

const isWhole = ({ entry }: Rule): boolean => entry !== '';

interface Given {
  setup: BatchSetup;
  rows: readonly BatchRow[];
  keep: (setup: BatchSetup) => void;
  /** Whether something is on its way to be kept. */
  isKeeping: boolean;
}

/**
 * The rules as they are picked: those that are kept, and those that have no entry yet, from which nothing could follow. What a colleague
 * changes of the kept ones is followed: else the next change here would put theirs back to what they were.
 */
function useFollowed({ setup, isKeeping }: Given) {
  const [rules, setRules] = useState<readonly Rule[]>(setup.rules);
  const [seen, setSeen] = useState(setup.rules);
  if (seen !== setup.rules && !isKeeping) {
    setSeen(setup.rules);
    if (!isSame(rules.filter(isWhole), setup.rules))
      setRules(
        rules.filter((rule) => !isWhole(rule)).reduce((all, rule) => withRule(all, rule), setup.rules),
      );
  }
  return [rules, setRules] as const;
}

/** The rules of a batch as they are picked, and how many rows each decides. */
export function useRules(given: Given) {
  const { setup, rows, keep } = given;
  const [rules, setRules] = useFollowed(given);
  const put = (changed: readonly Rule[]) => {
    setRules(changed);
    keep({ ...setup, rules: changed.filter(isWhole) });
  };
  const counts = useMemo(() => {
    const decider = new Decider({ ...setup, rules: [...rules] });
    const found = new Map<string, number>();
    const count = (id: string) => found.set(id, (found.get(id) ?? 0) + 1);
    for (const row of rows) {
      const rule = row.entry === null ? decider.ruleFor(row.cells) : null;
      if (row.entry !== null) count('hand');
      else if (rule === null || !isWhole(rule)) count('none');
      if (rule) count(rule.id);
    }
    return found;
  }, [setup, rules, rows]);
  const add = (conditions: readonly Condition[]) =>
    put(
      conditions.reduce<Rule[]>(
        (all, when) => withRule(all, { id: freshId(all), when, entry: '', wording: null }),
        [...rules],
      ),
    );
  return { rules, put, counts, add };
}
