export { collectionRoutes } from './collectionRoutes';
export { sharingRoutes } from './sharingRoutes';
