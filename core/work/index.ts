export { byNeed } from './deskOrder';
export type { Kind } from './kind';
export { KIND_IDS, KindIdSchema, kindOf, KINDS } from './kinds';
export type { KindId } from './kinds';
export { titleFromText, titleOfDraft } from './leaf/titleFromText';
