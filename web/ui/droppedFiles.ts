import { fromEvent } from 'file-selector';

/**
 * The files that were dropped, those within folders too, in the order of the folders. To be asked for while the event is told: afterwards the
 * browser has forgotten them.
 */
export async function droppedFiles(event: DragEvent): Promise<File[]> {
  const dropped = await fromEvent(event);
  return dropped.filter((one): one is Extract<typeof one, File> => one instanceof File);
}
