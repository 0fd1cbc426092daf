export { reviewRoutes } from './reviewRoutes';
