export { findSymbols, type NamedSymbol } from './findSymbols';
export { KNOWN_SYMBOLS } from './symbols';
