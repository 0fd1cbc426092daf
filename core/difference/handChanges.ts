import { mapLines, type Inline, type Mark, type Passage } from '#core/passage';
import { isSame } from './isSame';
import { mergedPassage } from './mergedPassage';

function asMarkInWording(mark: Mark): Mark {
  if (mark.type === 'when') return { ...mark, attrs: { ...mark.attrs, placement: null } };
  return mark.type === 'confirmed' ? { type: 'confirm' } : mark;
}

/** An inline of a draft as a wording has it: of no placement, its blank without an answer, its time not set. */
function asInWording(inline: Inline): Inline {
  const marks = (inline.marks ?? [])
    .filter(({ type }) => type !== 'placed' && type !== 'heard' && type !== 'disfluency')
    .map(asMarkInWording);
  const { marks: _, ...bare } = inline;
  const marked = (marks.length > 0 ? { ...bare, marks } : bare) as Inline;
  if (marked.type === 'timeCode') return { ...marked, attrs: { ...marked.attrs, at: null, text: '' } };
  if (marked.type !== 'blank') return marked;
  const { tookBefore: _before, tookAfter: _after, put: _put, ...own } = marked.attrs;
  const attrs = {
    ...own,
    placement: null,
    text: '',
    state: 'gap' as const,
    dropped: 'none' as const,
  };
  return { ...marked, attrs };
}

/**
 * A wording with what was changed by hand where it was placed: `placed` is what it put down, `now` what stands there. Blanks
 * stay blanks, and what was answered stays out of it. The wording itself, by `===`, where nothing was changed.
 */
export function wordingWithHandChanges(wording: Passage, placed: Passage, now: Passage): Passage {
  const bare = (passage: Passage) => mapLines(passage, (line) => line.map(asInWording));
  const [before, after] = [bare(placed), bare(now)];
  if (isSame(before, after)) return wording;
  const { passage } = mergedPassage(before, after, wording);
  return isSame(passage, wording) ? wording : passage;
}
