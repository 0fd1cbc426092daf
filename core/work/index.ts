export { kindsOfTeam, TeamKindsSchema } from './teamKinds';
export type { KindsOfTeam, TeamKinds } from './teamKinds';
export { byNeed } from './deskOrder';
export { KIND_IDS, KindIdSchema, kindOf, KINDS } from './kinds';
export type { KindId } from './kinds';
export { titleFromText, titleOfDraft } from './leaf/titleFromText';
