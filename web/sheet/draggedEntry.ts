/** What an entry is dragged as from the sheet. */
const TYPE = 'application/x-elderleaf-entry';

/** Has an entry go along with a drag that begins. */
export function dragEntry(event: React.DragEvent, entry: string): void {
  event.dataTransfer.setData(TYPE, entry);
  event.dataTransfer.effectAllowed = 'copyMove';
}

/** Whether what is dragged over here is an entry; which one is told only when it is dropped. */
export const isEntryDragged = (event: React.DragEvent): boolean => event.dataTransfer.types.includes(TYPE);

/** The entry that was dropped; '' for anything else. */
export const entryDropped = (event: React.DragEvent): string => event.dataTransfer.getData(TYPE);
