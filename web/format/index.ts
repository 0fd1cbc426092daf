export { FormatMenu } from './FormatMenu';
export { FORMATS } from './formatting';
export { addressPasted } from './linking';
export { LinkSlip } from './LinkSlip';
export { SymbolSlip } from './SymbolSlip';
