import { useEffect } from 'react';
import { offerService } from '#client/offers';
import { usePreferences } from '../../api';

/** Offers the small words that go together in the language one writes in (BCP 47), unless the member wants none. */
export function useSmallWords(language: string): void {
  const isWanted = usePreferences().data?.smallWords !== false;
  useEffect(() => void offerService().setSmallWords(isWanted ? language : null), [isWanted, language]);
}
