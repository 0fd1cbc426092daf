export { LeafOfCase } from './LeafOfCase';
export type { NoteDownload } from './noteDownload';
export type { LeafWithMaterial, Material } from './material';
