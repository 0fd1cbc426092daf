import { inWords } from '#client/api';
import { Notice } from '../ui';

/** What is at hand was searched, and the rest of a large bank could not be. */
export function NotAllSearched({ error }: { error: Error }) {
  return (
    <Notice tone="warning" title="Only what is loaded was searched.">
      {inWords(error)}
    </Notice>
  );
}
