import { mapLines, type Block, type Inline, type Passage } from '#core/passage';

function withoutTimes(inline: Inline): Inline {
  const marks = inline.marks?.filter(({ type }) => type !== 'heard' && type !== 'disfluency');
  const kept = marks?.length === inline.marks?.length ? inline : { ...inline, marks };
  return kept.type === 'timeCode' ? { ...kept, attrs: { ...kept.attrs, at: null, text: '' } } : kept;
}

function withoutTurns(block: Block): Block {
  if (block.type === 'turn') return { type: 'paragraph', ...(block.content && { content: block.content }) };
  return block.type === 'box' ? { ...block, content: block.content.map(withoutTurns) } : block;
}

/** Words of a transcript as they may stand elsewhere: no turns, and times that are set anew where they are placed. */
export function apartFromRecording(passage: Passage): Passage {
  const { content } = mapLines(passage, (line) => {
    const without = line.map(withoutTimes);
    return without.every((inline, at) => inline === line[at]) ? line : without;
  });
  return { ...passage, content: content.map(withoutTurns) };
}
