/** A rectangle in points, from the upper left corner of a page as it is shown. */
export interface PdfRectangle {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** A piece of text that a page of a PDF draws in one go. */
export interface PdfRun {
  text: string;
  /** Where its baseline begins, in points from the upper left corner of the page as it is shown. */
  x: number;
  y: number;
  /** How far it reaches along its line, and the size of its letters, in points. */
  width: number;
  size: number;
  /** How far its line is turned, clockwise, in radians; 0 for a level one. */
  angle: number;
  /** Its font, by any name that is its own within the file. */
  font: string;
  isBold: boolean;
  isItalic: boolean;
  /** Where each of its units begins along its line and where the last ends, in points from its start; without: as wide as each other. */
  edges?: readonly number[];
  /** Read from right to left; its text is in the order of reading all the same. */
  isRtl: boolean;
}

/** A comment that stands in a PDF as an annotation. */
export interface PdfRemark {
  author: string;
  /** When it was written, as an ISO instant; '' where the file does not say. */
  at: string;
  text: string;
  /** What it marks, or where it stands. */
  on: readonly PdfRectangle[];
}

/** A page of a PDF as it is shown, turned as it asks to be. */
export interface PdfPage {
  runs: readonly PdfRun[];
  remarks: readonly PdfRemark[];
}
