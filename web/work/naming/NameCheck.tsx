import { nameFaultInWords, sortsBetween, type NameFault } from '#core/naming';
import { Button, Key } from '../../ui';

interface Props {
  name: string;
  faults: readonly NameFault[];
  /** The nearest name without a fault; null for none, or none needed. */
  proposed: string | null;
  /** Names of the others in the folder, sorted. */
  sorted: readonly string[];
  /** Whether no blank of it is open. */
  isWhole: boolean;
  take: () => void;
}

/** What a name will be, what is wrong with it, and between which others it will stand. */
export function NameCheck({ name, faults, proposed, sorted, isWhole, take }: Props) {
  const { before, after } = sortsBetween(name, sorted);
  return (
    <section aria-label="This name" className="border-t border-hair pt-2 text-[13px]">
      <p className="font-book text-[15px] leading-snug break-words">{name}</p>
      {faults.length > 0 && (
        <ul role="status" className="mt-1 grid gap-0.5 text-rust">
          {faults.map((fault) => (
            <li key={fault.code}>{nameFaultInWords(fault)}</li>
          ))}
        </ul>
      )}
      {proposed && isWhole && (
        <p className="mt-1">
          Take{' '}
          <Button look="text" className="max-w-full text-left break-words whitespace-normal" onClick={take}>
            {proposed}
          </Button>{' '}
          <Key>Alt + Enter</Key>
        </p>
      )}
      {faults.length === 0 && (before ?? after) !== null && (
        <p className="mt-1 text-soft">
          {before && after && `Sorts between ${before} and ${after}.`}
          {before && !after && `Sorts last, behind ${before}.`}
          {!before && after && `Sorts first, before ${after}.`}
        </p>
      )}
    </section>
  );
}
