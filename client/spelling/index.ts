export { SpellChecker } from './spellChecker';
export { areRight, spellingsFor, type Dictionary } from './spellingService';
