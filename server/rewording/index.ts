export { rewordingRoutes } from './rewordingRoutes';
