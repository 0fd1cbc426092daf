export { authRoutes } from './authRoutes';
export { mustBeForTheDemo } from './demoStore';
