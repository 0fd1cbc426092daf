export { usageRoutes } from './usageRoutes';
export { usesOf } from './usesOf';
