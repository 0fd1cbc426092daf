export { dropUnusedFiles } from './dropUnusedFiles';
export { entryFileRoutes } from './entryFileRoutes';
export { keepFile } from './keepFile';
export { fileRoutes } from './fileRoutes';
