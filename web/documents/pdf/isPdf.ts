const SIGNATURE = '%PDF-';
/** Programs put bytes of their own before it; readers look for it this far. */
const LOOKED_AT = 1024;

/** Whether bytes are those of a PDF, by how they begin. */
export const isPdf = (bytes: Uint8Array): boolean =>
  String.fromCharCode(...bytes.subarray(0, LOOKED_AT)).includes(SIGNATURE);
