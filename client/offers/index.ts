export { Asker } from './asker';
export { dropUses, tellKeptUses, tellUse, withUse } from './counting';
export { offerService, askOffers } from './offerService';
