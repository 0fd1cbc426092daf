export { DropFiles } from './DropFiles';
