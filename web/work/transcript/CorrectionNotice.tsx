import { Button, Notice } from '../../ui';
import type { LikeElsewhere } from './useCorrection';

interface Props {
  like: LikeElsewhere;
  see: () => void;
  forget: () => void;
}

/** A term that was put right stands elsewhere as it was: to be looked at there, or left. */
export const CorrectionNotice = ({ like: { from, to, count }, see, forget }: Props) => (
  <Notice
    title={`“${from}” is “${to}” now. It stands ${count === 1 ? 'once' : `${count} times`} more in this transcript.`}
  >
    <span className="flex gap-4">
      <Button look="text" onClick={see}>
        See where, and change
      </Button>
      <Button look="text" onClick={forget}>
        Leave it
      </Button>
    </span>
  </Notice>
);
