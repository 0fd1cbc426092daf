export { workRoutes } from './served';
