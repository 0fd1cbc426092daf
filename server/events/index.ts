export type { Announcer } from './announcer';
export { localBus, postgresBus, type Bus } from './bus';
