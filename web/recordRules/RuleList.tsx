import { useRef, type ReactNode } from 'react';
import { Button, useFocusNext, useRowKeys } from '../ui';

interface Props<Row> {
  title: string;
  /** What is in it, in a sentence. */
  about: string;
  rows: readonly Row[];
  /** A row that was begun. */
  fresh: () => Row;
  put: (rows: Row[]) => void;
  add: string;
  /** What a row is called where it is removed. */
  nameOf: (row: Row) => string;
  children: (row: Row, at: number, change: (change: Partial<Row>) => void) => ReactNode;
}

/** Rules one beneath another: each can be changed and removed, and one added. */
export function RuleList<Row extends object>(list: Props<Row>) {
  const { title, about, rows, fresh, put, add, nameOf, children } = list;
  const section = useRef<HTMLElement>(null);
  const adding = useRef<HTMLButtonElement>(null);
  const focusNext = useFocusNext();
  const keys = useRowKeys(rows);
  const addOne = () => {
    put([...rows, fresh()]);
    focusNext(
      () =>
        [...(section.current?.querySelectorAll<HTMLElement>('li') ?? [])].at(-1)?.querySelector('input') ??
        null,
    );
  };
  const removeOne = (at: number) => {
    put(rows.toSpliced(at, 1));
    focusNext(() => adding.current);
  };
  return (
    <section ref={section} aria-label={title}>
      <h2 className="text-[18px]">{title}</h2>
      <p className="text-[14px] text-soft">{about}</p>
      <ul>
        {rows.map((row, at) => (
          <li key={keys[at]} className="border-b border-hair py-3">
            {children(row, at, (change) => put(rows.with(at, { ...row, ...change })))}
            <Button
              look="text"
              className="text-[13px]"
              aria-label={`Remove ${nameOf(row) || 'this line'}`}
              onClick={() => removeOne(at)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <Button ref={adding} look="text" className="mt-2" onClick={addOne}>
        {add}
      </Button>
    </section>
  );
}
