import { Tick } from '../ui';
import { KINDS_OF_WORK } from './kindsOfWork';

interface Props {
  kinds: readonly string[];
  change: (kinds: string[]) => void;
}

/** For which kinds of work something is in reach. */
export function KindsOfWorkField({ kinds, change }: Props) {
  const flip = (kind: string) =>
    change(kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind]);
  return (
    <fieldset>
      <legend className="eyebrow">In reach for</legend>
      {KINDS_OF_WORK.map(([kind, words]) => (
        <Tick key={kind} on={kinds.includes(kind)} toggle={() => flip(kind)}>
          {words}
        </Tick>
      ))}
      <p className="text-[13px] text-soft">With none ticked, for all work.</p>
    </fieldset>
  );
}
