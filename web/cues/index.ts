export { ClosingKeys, CueRulesOf } from './CueRulesFields';
export { CuesEditor } from './CuesEditor';
export { WrittenClashes } from './WrittenClashes';
export { BEFORE, CLOSERS, FIRES, LETTERS, MAKING_IN_WORDS } from './ruleWords';
