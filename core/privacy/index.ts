export { capture } from './capture';
export type { Captured, CapturedParticular } from './capture';
