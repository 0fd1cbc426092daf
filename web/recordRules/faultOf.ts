import type { RulesFault } from '#core/record';

/** What is wrong with a field of the rules, in words, once it was tried to save them. */
export type FaultOf = (list: RulesFault['list'], row: number, field: string) => string | undefined;
