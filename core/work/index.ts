export { kindsOfTeam, TeamKindsSchema } from './teamKinds';
export type { KindsOfTeam, TeamKinds } from './teamKinds';
export { byNeed } from './deskOrder';
export { headOfAdmission } from './admission/headOfAdmission';
export type { StarterText } from './kind';
export { STARTER_TEXTS } from './starterTexts';
export { KIND_IDS, KindIdSchema, kindOf, KINDS } from './kinds';
export type { KindId } from './kinds';
export { titleFromText, titleOfDraft } from './leaf/titleFromText';
