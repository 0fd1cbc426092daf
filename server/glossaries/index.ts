export { glossaryRoutes } from './glossaryRoutes';
export { useRoutes } from './useRoutes';
