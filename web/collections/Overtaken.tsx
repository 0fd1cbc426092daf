import { Button, Notice } from '../ui';

interface Props {
  takeTheirs: () => void;
  keepMine: () => void;
}

/** Says that someone saved meanwhile what is being changed here; nothing is lost either way until one chooses. */
export function Overtaken({ takeTheirs, keepMine }: Props) {
  return (
    <Notice tone="warning" title="Someone saved this meanwhile.">
      <p>What you changed is kept here, and not saved yet.</p>
      <p className="mt-1.5 flex flex-wrap gap-2">
        <Button onClick={keepMine}>Keep mine, to be saved over it</Button>
        <Button onClick={takeTheirs}>Use the current version</Button>
      </p>
    </Notice>
  );
}
