export { fileName, offerFile, textFile } from './files';
export { readCollectionFile } from './readCollectionFile';
export { sendFile, SendingStopped, type Sending } from './sendFile';
