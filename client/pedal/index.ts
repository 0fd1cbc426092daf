export { ASKED_FOR, askable, askForPedal, hearDevices } from './devices';
export type { AskedFor } from './devices';
export { hearPresses, pagePresses, pressOfKey } from './presses';
export type { Heard, Press } from './presses';
export { hearStandIn, standInPress, tellStandIn } from './standIn';
