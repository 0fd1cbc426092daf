export { storageTroubles } from './storageTroubles';
