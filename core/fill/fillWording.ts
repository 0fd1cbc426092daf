import type { Passage } from '#core/passage';
import { finishedPassage } from './finishedPassage';
import { place, type PlaceRequest } from './place';

/** An entry's wording filled to plain rich text at once, as a reader would get it; gaps come out empty. */
export function fillWording(request: Omit<PlaceRequest, 'id' | 'cue'>): Passage {
  return finishedPassage(place({ ...request, id: 'filled', cue: null }).passage);
}
