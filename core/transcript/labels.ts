import type { LabelStyle, Speaker } from './cast';

/** What is said of a turn whose speaker is not in the cast. */
const NOBODY = 'Unknown speaker';

/** The label of a speaker's turns, without what follows it: "Wilf Ambry:", "WA"; '' where labels are not written. */
export function labelOf(speaker: Speaker | undefined, { by, capitals, colon }: LabelStyle): string {
  if (by === 'none') return '';
  const name = speaker ? (by === 'initials' && speaker.initials) || speaker.name : NOBODY;
  return (capitals ? name.toLocaleUpperCase() : name) + (colon ? ':' : '');
}
