import type { Entry } from '#contracts';
import { Button, Notice } from '../../ui';
import { replaced } from '../capture/keepCaptured';
import type { useCaptureSlip } from '../capture/useCaptureSlip';

const SHOWN = 6;

/** The first few of some names, and how many more there are. */
const fewOf = (names: readonly string[]): string =>
  names.length <= SHOWN + 1
    ? names.join(', ')
    : `${names.slice(0, SHOWN).join(', ')} and ${names.length - SHOWN} others`;

/** That an entry of this title is there: what would stay of it and what would go, were this put in its place. */
export function InPlaceOf({ known, slip }: { known: Entry; slip: ReturnType<typeof useCaptureSlip> }) {
  const { content } = known;
  const { wording, gone } = replaced(known, slip);
  const stays = [
    ...content.wordings.filter((one) => one !== wording).map(({ name }) => name),
    ...wording.parts.slice(0, -1).map(({ name }) => name),
  ];
  return (
    <Notice title={`“${content.title}” is in the bank already.`}>
      <Button look="text" disabled={slip.pending} onClick={() => slip.replace(known)}>
        {content.wordings.length > 1
          ? `Put this in place of “${wording.name}”`
          : 'Put this in place of its wording'}
      </Button>
      ; or save this beside it.
      {stays.length > 0 && ` These stay: ${stays.join(', ')}.`}
      {gone.length > 0 && ` No longer asked: ${fewOf(gone)}.`} Its title, cues and tags stay.
    </Notice>
  );
}
