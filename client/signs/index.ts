export { startSignSearch, type RunningSearch } from './signSearch';
