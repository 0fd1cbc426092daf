export { ImportSending } from './importSending';
