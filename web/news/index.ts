export { NEWEST } from './newest';
