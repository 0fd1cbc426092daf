export { FilesAlong } from './FilesAlong';
export { FilesOfCase } from './FilesOfCase';
export { FilesOnTheirWay } from './FilesOnTheirWay';
export { mediaInWords } from './mediaInWords';
export { mustFit, useSendEntryFiles, useSendFiles } from './useSendFiles';
