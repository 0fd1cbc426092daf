export { toDocx, toDocxPages } from './toDocx';
