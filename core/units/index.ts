export { converted, isKnownUnit, isSameUnit } from './units';
