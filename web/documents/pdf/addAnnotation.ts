import type { PDFDict, PDFName, PDFPage } from '@cantoo/pdf-lib';

/**
 * Adds an annotation to a page behind those that it has. Nothing else of the page is touched: the library's own way would write its content and
 * its resources anew.
 */
export function addAnnotation({ node }: PDFPage, annotation: PDFDict, { PDFName: name }: Lib): void {
  const ref = node.context.register(annotation);
  const list = node.Annots();
  if (list) list.push(ref);
  else node.set(name.of('Annots'), node.context.obj([ref]));
  // A list that is no object of its own is written with its page.
  node.registerChange();
}

interface Lib {
  PDFName: typeof PDFName;
}
