export { runningWorker, type RunningWorker } from './runningWorker';
