export { ArchiveNames, fileOf, offerAs, offerFile } from './files';
export { readCollectionFile } from './readCollectionFile';
export { collectionToHandOn, sendFilesAlong, withFilesAlong } from './handedOnFile';
export { sendEntryFile, sendFile } from './sendFile';
export { againWhenReached } from './againWhenReached';
export { sendMessage } from './sendMessage';
export { bytesOfFile } from './bytesOfFile';
