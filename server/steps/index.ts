export { stepRoutes } from './stepRoutes';
