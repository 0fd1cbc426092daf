export { doubleRoutes } from './doubleRoutes';
