export { dropUnusedFiles } from './dropUnusedFiles';
export { entryFileRoutes } from './entryFileRoutes';
export { fileRoutes } from './fileRoutes';
