import { call, UnreadableFile } from '#client/api';
import { newLeaf } from '#client/cases';
import { DraftDocumentSchema, type DraftDocument } from '#core/draft';
import { LIMITS } from '#core/passage';
import { NEW_TRANSCRIPT } from '#core/transcript';
import { endsIn, titleFrom, type Arrival } from '../arrival';

/** Subtitles that are dropped become a transcript to be corrected. */
export const subtitlesArrival: Arrival = {
  isOf: (dropped) => dropped.text !== null && endsIn(dropped, ['.vtt', '.srt']),
  take: async ([one]) => {
    const { file } = one!;
    const { readFirstDraft, turnsFrom } = await import('./firstDraft');
    const { lines, remarks } = await readFirstDraft(file);
    const { content, cast } = turnsFrom(lines, []);
    const document: DraftDocument = {
      ...{ type: 'doc', content },
      attrs: { placements: {}, transcript: { ...NEW_TRANSCRIPT, cast } },
    };
    if (!DraftDocumentSchema.safeParse(document).success)
      throw new UnreadableFile(
        `${file.name} is longer than a leaf holds (${LIMITS.characters.toLocaleString()} characters). Nothing was made of it; part it and drop the parts.`,
      );
    const body = {
      ...newLeaf({ title: titleFrom(file) || file.name, document }),
      kind: 'transcript' as const,
    };
    return { cases: [{ case: await call('makeCase', { body }), news: null }], remarks: [...remarks] };
  },
};
