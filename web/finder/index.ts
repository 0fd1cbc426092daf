export { FinderPanel } from './FinderPanel';
