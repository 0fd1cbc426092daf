export { ImportSending } from './importSending';
export { startLikenessSearch } from './startLikenessSearch';
