export { LeafOfCase, OPEN_CASE } from './LeafOfCase';
export type { NoteDownload } from './noteDownload';
export { CaptureSelected } from './CaptureSelected';
export { useKeptWords } from './useKeptWords';
export { SlipAskedFor } from './SlipAskedFor';
export { AtCaret } from './AtCaret';
export { useLeafActions } from './useLeafActions';
export { NO_MATERIAL } from './material';
export type { LeafWithMaterial, Material } from './material';
