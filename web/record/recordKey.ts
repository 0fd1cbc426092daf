/** The keys that open the record at the head of a leaf, and fold it. */
export const RECORD_KEY = 'Alt + C';
