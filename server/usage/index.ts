export { usageRoutes } from './usageRoutes';
export { countFollowings } from './followings';
export { usesOf } from './usesOf';
