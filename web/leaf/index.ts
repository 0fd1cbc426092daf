export { LeafOfCase } from './LeafOfCase';
export type { NoteDownload } from './noteDownload';
