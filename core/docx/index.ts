export { toDocx } from './toDocx';
