export { LeafOfCase } from './LeafOfCase';
export type { NoteDownload } from './noteDownload';
export { NO_MATERIAL } from './material';
export type { LeafWithMaterial, Material } from './material';
