export { beginFrom, emptyStore, makeFolder, writeImage } from './emptyStore';
