import { FILE_FORMATS } from '#core/exchange';
import { offerAs } from '#client/files';
import { LeafOfCase, type NoteDownload } from '../../leaf';

/** A finished note for a record system: an HL7 FHIR R4 document. */
const FHIR_DOCUMENT: NoteDownload = {
  label: FILE_FORMATS.fhir.label,
  save: async (note, title) => {
    // With the schemas of what is read: fetched only by those who want it.
    const { noteBundle } = await import('#core/fhir');
    const bundle = noteBundle(note, () => crypto.randomUUID());
    offerAs('fhir', `${JSON.stringify(bundle, null, 2)}\n`, title);
  },
};

const DOWNLOADS = [FHIR_DOCUMENT];

/** An admission on its leaf: a finished note goes to a record system too. */
export const AdmissionLeaf = ({ id }: { id: string }) => <LeafOfCase id={id} downloads={DOWNLOADS} />;
