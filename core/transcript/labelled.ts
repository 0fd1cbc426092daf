import type { Block, Inline, Mark, Passage } from '#core/passage';
import type { LabelStyle, Transcript } from './cast';
import { labelOf } from './labels';
import { writtenTime } from './timeCode';

const BETWEEN: Record<LabelStyle['after'], Inline> = {
  tab: { type: 'text', text: '\t' },
  space: { type: 'text', text: ' ' },
  line: { type: 'hardBreak' },
};

/** Says of each turn in order whether its time is shown: that of the first, and where so many minutes went by since. */
export function timesToShow(times: readonly (number | null)[], every: number): boolean[] {
  let shown: number | null = null;
  return times.map((at) => {
    const isShown = at !== null && (shown === null || Math.abs(at - shown) >= every * 60_000);
    if (isShown) shown = at;
    return isShown;
  });
}

/**
 * The passage of a transcript with its labels written out as text, as it goes out: each turn a paragraph that begins with its time
 * (where times are shown at all) and its speaker's label. A turn of whoever spoke before is a paragraph without a label.
 */
export function withLabels(passage: Passage, { cast, labels, times }: Transcript): Passage {
  const speakers = new Map(cast.map((speaker) => [speaker.id, speaker]));
  const turns = passage.content.filter((block) => block.type === 'turn');
  const shown = timesToShow(
    turns.map(({ attrs }) => attrs.at),
    times.every,
  );
  const marks: Mark[] | undefined = labels.bold ? [{ type: 'bold' }] : undefined;
  let at = -1;
  let before: string | null = null;
  const content = passage.content.map((block): Block => {
    if (block.type !== 'turn') {
      if (block.type === 'heading') before = null;
      return block;
    }
    at += 1;
    const { speaker, at: time } = block.attrs;
    const head: Inline[] = [];
    if (times.shown !== 'none' && shown[at])
      head.push({ type: 'text', text: writtenTime(time!, times) }, { type: 'text', text: ' ' });
    if (speaker !== before && labels.by !== 'none')
      head.push(
        { type: 'text', text: labelOf(speakers.get(speaker), labels), ...(marks && { marks }) },
        BETWEEN[labels.after],
      );
    before = speaker;
    const words = [...head, ...(block.content ?? [])];
    return { type: 'paragraph', ...(words.length > 0 && { content: words }) };
  });
  return { type: 'doc', content };
}
