import { useKinds } from '../api';
import { Tick } from '../ui';

interface Props {
  kinds: readonly string[];
  change: (kinds: string[]) => void;
}

/** For which kinds of work something is in reach. */
export function KindsOfWorkField({ kinds, change }: Props) {
  const { done, workOf } = useKinds();
  // What something is meant for stays, though the team does it no more.
  const shown = [...done, ...kinds.filter((kind) => !done.some((one) => one === kind))];
  const flip = (kind: string) =>
    change(kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind]);
  return (
    <fieldset>
      <legend className="eyebrow">In reach for</legend>
      {shown.map((kind) => (
        <Tick key={kind} on={kinds.includes(kind)} toggle={() => flip(kind)}>
          {workOf(kind)}
        </Tick>
      ))}
      <p className="text-[13px] text-soft">With none ticked, for all work.</p>
    </fieldset>
  );
}
