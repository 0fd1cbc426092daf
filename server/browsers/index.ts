export { browserRoutes } from './browserRoutes';
