export { dropUnusedFiles } from './dropUnusedFiles';
export { entryFileRoutes } from './entryFileRoutes';
export { keepContent, keepFile, stage } from './keepFile';
export { fileRoutes } from './fileRoutes';
