export { houseWordRoutes } from './houseWordRoutes';
