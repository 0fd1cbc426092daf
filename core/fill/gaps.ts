import type { DraftDocument } from '#core/draft';
import { linesOf } from '#core/passage';

/** A required field of a placement that has no answer yet, said once however many blanks ask for it. */
export interface Gap {
  placement: string;
  field: string;
  name: string;
  question: string;
}

/** What still has to be answered before a draft can be finished, in the order of the text. */
export function gapsOf(draft: DraftDocument): Gap[] {
  const gaps = new Map<string, Gap>();
  for (const inline of linesOf(draft).flat()) {
    if (inline.type !== 'blank' || inline.attrs.state !== 'gap') continue;
    const { placement, field } = inline.attrs;
    const declared = draft.attrs.placements[placement ?? '']?.fields.find(({ id }) => id === field);
    const name = declared?.name ?? field;
    gaps.set(`${placement} ${field}`, {
      placement: placement ?? '',
      field,
      name,
      question: declared?.question || name,
    });
  }
  return [...gaps.values()];
}
