export { stepRoutes } from './stepRoutes';
export { takeSteps } from './steps';
