import { useEffect, useState } from 'react';
import { pathFor, type Glossary } from '#contracts';
import englishUrl from '../generated/english.tsv?url';
import { offerService } from '#client/offers';

const urlOf = ({ id, version, shipped }: Glossary) =>
  shipped ? englishUrl : pathFor('terms', { glossary: id, version: String(version) });

/**
 * Keeps the worker told of the glossaries; those it has as they are cost nothing. What comes back grows with each list
 * that became ready.
 */
export function useGlossaryLists(glossaries: readonly Glossary[] | undefined): number {
  const [loaded, setLoaded] = useState(0);
  useEffect(() => {
    if (!glossaries) return;
    const service = offerService();
    void service.keepOnly(glossaries.map(({ id }) => id));
    for (const list of glossaries) {
      const { id, priority, careful, letters, version } = list;
      service.setList({ id, priority, careful, letters, version, url: urlOf(list) }).then(
        () => setLoaded((count) => count + 1),
        // A list that cannot be had offers nothing; the next change of it asks again.
        () => undefined,
      );
    }
  }, [glossaries]);
  return loaded;
}
