export { startSignSearch } from './signSearch';
