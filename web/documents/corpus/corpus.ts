import type { CorpusFile } from './corpusFile';
import { TABLES } from './tables';
import { TEXTS } from './texts';

/** Tables and documents as people have them, made for the tests: whatever they look like, the same six wordings are in each. */
export const CORPUS: readonly CorpusFile[] = [...TABLES, ...TEXTS];
