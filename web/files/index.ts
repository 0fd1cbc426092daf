export { FilesOfCase } from './FilesOfCase';
export { FilesOnTheirWay } from './FilesOnTheirWay';
export { mediaInWords } from './mediaInWords';
export { mustFit, useSendFiles } from './useSendFiles';
