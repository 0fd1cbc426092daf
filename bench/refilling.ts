import type { DraftDocument } from '#core/draft';
import { refillLine, refillPassage, place } from '#core/fill';
import { linesOf, mapLines, type Block } from '#core/passage';
import { LETTER } from './filling';
import { measure, type Measured } from './measure';

const PLACEMENTS = 40;

/** A draft of some three pages: forty placements of a paragraph, each alive, and as much typed between them. */
function longDraft(): DraftDocument {
  const placed = Array.from({ length: PLACEMENTS }, (_, at) => {
    const { passage, placement } = place({ ...LETTER, cue: null, id: `p${at}` });
    return { id: `p${at}`, placement, block: passage.content[1]! };
  });
  const typed: Block = {
    type: 'paragraph',
    content: [{ type: 'text', text: 'Seen again in the evening: it was quiet and took what was offered.' }],
  };
  return {
    type: 'doc',
    content: placed.flatMap(({ block }) => [block, typed]),
    attrs: { placements: Object.fromEntries(placed.map(({ id, placement }) => [id, placement])) },
  };
}

/** One answer of one placement changes, and the draft follows: all that depends on it, and nothing else. */
export function benchRefilling(): Measured[] {
  const draft = longDraft();
  const { placements } = draft.attrs;
  const changed = placements.p20!;
  const detail = (value: number) => ({
    kind: 'detail' as const,
    value: { kind: 'quantity' as const, value, unit: 'g' },
    source: 'Case',
    asOf: null,
  });
  let turn = 0;
  // Another placement object each time, as an answer makes one: what is known of it is worked out anew.
  const answered = () => {
    turn = (turn + 1) % 2;
    const answers = { ...changed.answers, weight: detail(turn === 0 ? 412 : 800) };
    return { ...placements, p20: { ...changed, answers } };
  };
  const whole = () => refillPassage(draft, answered());
  const only = () => {
    const now = answered();
    return mapLines(draft, (line) => refillLine(line, now, 'p20'));
  };
  const shown = (passage: ReturnType<typeof whole>) => JSON.stringify(linesOf(passage));
  turn = 0;
  const all = shown(whole());
  turn = 0;
  if (shown(only()) !== all || all === shown(draft)) throw new Error('The two ways do not say the same.');
  const work = `one answer changes in a draft of three pages with ${PLACEMENTS} live placements`;
  return [
    measure('refilling', work, 'Elderleaf, the lines of that placement', only),
    measure('refilling', work, 'Elderleaf, every line of the draft', whole),
  ];
}
