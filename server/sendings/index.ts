export { sendingRoutes } from './sendingRoutes';
export { deliverDue } from './deliverDue';
export { deliverAfter } from './sendDraft';
export { houseDoubts } from './doubtsAbout';
export { readySending, receiverFaults, type FileAlong } from './readySending';
