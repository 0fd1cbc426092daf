export { findSigns, type Sign } from './findSigns';
export { SIGNS } from './signs';
