export { Asker } from './asker';
export { tellUse, withUse } from './counting';
export { offerService, askOffers } from './offerService';
