export { fileName, offerFile, textFile } from './files';
export { readCollectionFile } from './readCollectionFile';
export { sendFile } from './sendFile';
