export { fileName, offerFile, textFile } from './files';
export { readCollectionFile } from './readCollectionFile';
export { collectionToHandOn, sendFilesAlong } from './handedOnFile';
export { sendEntryFile, sendFile } from './sendFile';
export { bytesOfFile } from './bytesOfFile';
