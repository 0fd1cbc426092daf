export { writeTrail, writeTrailLines } from './writeTrail';
