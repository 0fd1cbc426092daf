export { startBranchTrier } from './branchTrier';
