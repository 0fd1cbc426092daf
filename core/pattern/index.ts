// A folder of its own: what reads patterns is large, and only those who use them should fetch it.
export { compilePatterns, findPattern, patternProblem } from './patternCue';
export type { PatternCue, PatternMatch } from './patternCue';
