export { NEWEST } from './news';
