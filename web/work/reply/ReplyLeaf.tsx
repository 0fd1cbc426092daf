import { LeafOfCase } from '../../leaf';
import { useMessages } from './useMessages';

/** The answer to somebody who asked: the message at the head of the leaf, the reply beneath it. */
export const ReplyLeaf = ({ id }: { id: string }) => <LeafOfCase id={id} material={useMessages} />;
