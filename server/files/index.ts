export { dropUnusedFiles } from './dropUnusedFiles';
export { fileRoutes } from './fileRoutes';
