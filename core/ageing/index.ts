export { factFinder } from './findFacts';
export type { Fact, FactKind } from './findFacts';
export { linkFault, LINK_FAULTS } from './linkFault';
