export { practiceRoutes } from './practiceRoutes';
