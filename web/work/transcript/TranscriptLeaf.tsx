import { LeafOfCase } from '../../leaf';
import { useTranscript } from './useTranscript';

/** What is said in a recording, written down: the recording at the head of the leaf, its words beneath, the cast beside them. */
export const TranscriptLeaf = ({ id }: { id: string }) => <LeafOfCase id={id} material={useTranscript} />;
