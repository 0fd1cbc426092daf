export { PdfPictures } from '../pdf/pdfPictures';
export { drawPicture } from './drawPicture';
export { readPaper } from './readPaper';
