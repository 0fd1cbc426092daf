export { startBranchTrier, type RunningTrier } from './branchTrier';
