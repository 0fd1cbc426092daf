export { importRoutes } from './importRoutes';
