import { Button } from './Button';
import { Notice } from './Notice';

interface Props {
  takeTheirs: () => void;
  keepMine: () => void;
}

/** Says that someone saved meanwhile what is being changed here; nothing is lost either way until one chooses. */
export function Overtaken({ takeTheirs, keepMine }: Props) {
  return (
    <Notice tone="warning" title="Someone else saved this meanwhile.">
      <p>Your changes are still here, not saved yet.</p>
      <p className="mt-1.5 flex flex-wrap gap-2">
        <Button onClick={keepMine}>Keep mine and save over it</Button>
        <Button onClick={takeTheirs}>Use the current version</Button>
      </p>
    </Notice>
  );
}
