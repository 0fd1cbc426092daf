import { linesOf } from '#core/passage';
import type { NamedCondition } from './condition';
import type { EntryContent } from './entry';

/** The conditions that some optional passage of the entry's wordings stands under, in their order. */
export function conditionsInUse({ wordings, conditions = [] }: EntryContent): NamedCondition[] {
  const named = new Set<string>();
  for (const { passage } of wordings.flatMap(({ parts }) => parts))
    for (const inline of linesOf(passage).flat())
      for (const mark of inline.marks ?? []) if (mark.type === 'when') named.add(mark.attrs.condition);
  return conditions.filter(({ id }) => named.has(id));
}

/**
 * The entry without conditions that no passage stands under any more: while one writes they stay, since undo may bring
 * the passage back. The same entry where all are in use.
 */
export function withoutUnusedConditions(content: EntryContent): EntryContent {
  const { conditions = [], ...rest } = content;
  const used = conditionsInUse(content);
  if (used.length === conditions.length) return content;
  return used.length > 0 ? { ...rest, conditions: used } : rest;
}
