export { KindsOfWorkField } from './KindsOfWorkField';
