export { takeStarter } from './takeStarter';
