import type { CorpusWording } from './wordings';

/** A file of the corpus, and what of `WORDINGS` is in it. */
export interface CorpusFile {
  name: string;
  bytes: Uint8Array;
  has?: readonly ('cue' | 'topic' | 'welsh' | 'part')[];
  /** False where no title is in it: they are made of the wordings. */
  titled?: false;
  /** What a title reads there. */
  titleOf?: (wording: CorpusWording) => string;
  /** What stands behind each wording besides. */
  extra?: RegExp;
}
