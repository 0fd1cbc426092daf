import type { Usage } from '#contracts';
import { keysEach, waysInWords, type Way } from '#core/savings';

const locale = navigator.language;

const LABELS: Record<Way, string> = {
  cue: 'Its cue, typed',
  keys: 'Its keys, pressed',
  offer: 'An offer, taken',
  'look-up': 'The look-up',
  click: 'A click in the margin',
};
const WITHIN: Record<Way, string> = {
  cue: 'by its cue',
  keys: 'by its keys',
  offer: 'from the offers',
  'look-up': 'from the look-up',
  click: 'by a click',
};

/** How one brings wording oneself, the ways compared by the keys they take. */
export function WaysTable({ ways }: Pick<Usage, 'ways'>) {
  if (ways.length === 0) return null;
  const told = waysInWords(ways, WITHIN, locale);
  return (
    <figure className="px-9 py-4 max-[899px]:px-4">
      <figcaption className="font-book text-[19px]">How you bring wording</figcaption>
      {told && <p className="text-[14px] text-soft">{told}</p>}
      <table className="mt-3 w-full table-fixed text-[14px]">
        <caption className="sr-only">How you bring wording, which only you see</caption>
        <thead className="text-left text-[12.5px] text-soft">
          <tr>
            <th scope="col" className="font-medium">
              <span className="sr-only">Way</span>
            </th>
            <th scope="col" className="w-[5.5rem] text-right align-bottom font-medium">
              Times
            </th>
            <th scope="col" className="w-[8rem] text-right align-bottom font-medium">
              Keys each time
            </th>
          </tr>
        </thead>
        <tbody>
          {ways.map((one) => (
            <tr key={one.way} className="border-t border-hair">
              <th scope="row" className="py-1 text-left font-normal">
                {LABELS[one.way]}
              </th>
              <td className="text-right tabular-nums">{one.times.toLocaleString(locale)}</td>
              <td className="text-right tabular-nums">{keysEach(one)?.toLocaleString(locale)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}
