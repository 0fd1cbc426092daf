import type { OthersTranscript } from '#contracts';
import { othersDrafts } from '../../cases';
import type { Queries } from '../../db';

/** What others whom a case is given to have written down of its recording: of each the leaf with turns that was saved last, by name. */
export const othersTranscripts = (db: Queries, member: string, of: string): Promise<OthersTranscript[]> =>
  othersDrafts(db, member, of, ({ content }) => content.some(({ type }) => type === 'turn'));
