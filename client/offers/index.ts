export { Asker } from './asker';
export { dropUses, tellKeptUses, tellUse, withUse } from './counting';
export { offerEntries } from './offerEntries';
export { offerService, askOffers } from './offerService';
