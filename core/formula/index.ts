export { readFormula, evaluate, checkCalls, FUNCTION_NAMES } from './evaluate';
export type { NamedValue } from './evaluate';
export { LONGEST_FORMULA } from './tokens';
export { namesIn } from './parse';
export type { Amount, FormulaValue } from './formulaValue';
export { formulaErrorInWords } from './formulaError';
export type { FormulaError } from './formulaError';
