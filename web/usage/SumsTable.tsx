import { Bar, BarChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';

/** Something counted, and what it saved. */
export interface CountedSum {
  key: string;
  label: string;
  /** What stands under its bar, where the label is too long for it. */
  mark?: string;
  times: number;
  saved: number;
  mine: number;
  mineSaved: number;
}

const TICK = { fontSize: 11, fill: 'var(--color-soft)' };

/** Fewer placements than this are read in the table alone: a chart of three bars of one says nothing. */
const LEAST_DRAWN = 10;

/** How often things were placed, as bars for those who look, and in a table with what it saved for those who read. */
export function SumsTable({ caption, rows }: { caption: string; rows: readonly CountedSum[] }) {
  return (
    <figure className="px-9 py-4 max-[899px]:px-4">
      <figcaption className="font-book text-[19px]">{caption}</figcaption>
      {rows.length > 1 && rows.reduce((sum, { times }) => sum + times, 0) >= LEAST_DRAWN && (
        <div aria-hidden className="mt-2 h-40">
          <ResponsiveContainer width="100%" height="100%">
            <BarChart
              data={rows.map((row) => ({ ...row, mark: row.mark ?? row.label }))}
              accessibilityLayer={false}
              margin={{ top: 6, right: 0, bottom: 0, left: -18 }}
            >
              <CartesianGrid vertical={false} stroke="var(--color-hair)" />
              <XAxis dataKey="mark" tick={TICK} stroke="var(--color-hair)" interval="preserveStartEnd" />
              <YAxis allowDecimals={false} width={52} tick={TICK} stroke="var(--color-hair)" />
              <Tooltip cursor={{ fill: 'var(--color-flower)', opacity: 0.4 }} />
              <Bar
                dataKey="times"
                name="Placed"
                fill="var(--color-leaf)"
                isAnimationActive={false}
                maxBarSize={36}
              />
            </BarChart>
          </ResponsiveContainer>
        </div>
      )}
      <table className="mt-3 w-full table-fixed text-[14px]">
        <caption className="sr-only">{caption}</caption>
        <thead className="text-left text-[12.5px] text-soft">
          <tr>
            <th scope="col" className="font-medium">
              <span className="sr-only">What</span>
            </th>
            <th scope="col" className="w-[5.5rem] text-right align-bottom font-medium">
              Placed
            </th>
            <th scope="col" className="w-[5.5rem] text-right align-bottom font-medium">
              by you
            </th>
            <th scope="col" className="w-[5.5rem] text-right align-bottom font-medium">
              Keys saved
            </th>
            <th scope="col" className="w-[5.5rem] text-right align-bottom font-medium">
              saved by you
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, label, times, saved, mine, mineSaved }) => (
            <tr key={key} className="border-t border-hair">
              <th scope="row" className="py-1 text-left font-normal break-words">
                {label}
              </th>
              {[times, mine, saved, mineSaved].map((figure, at) => (
                <td key={at} className="text-right tabular-nums">
                  {figure.toLocaleString()}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}
