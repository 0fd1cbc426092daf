export { CueSchema, CueRulesSchema, DEFAULT_CUE_RULES, resolveCue } from './cue';
export type { Cue, CueRules, ResolvedCue, Closer } from './cue';
export { CueIndex, typedCase } from './cueIndex';
export type { CueMatch, TypedCase } from './cueIndex';
export { proposeCue } from './proposeCue';
