export { FormatMenu } from './FormatMenu';
export { FORMATS, formatsHere } from './formatting';
export { addressPasted } from './linking';
export { LinkSlip } from './LinkSlip';
export { SymbolSlip } from './SymbolSlip';
