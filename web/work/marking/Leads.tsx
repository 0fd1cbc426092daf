import type { PagePoint } from '#core/passage';
import type { PageSize } from '../../documents';
import { leadFrom, leadLines } from './leads';
import type { Markings } from './useMarkings';

const pathOf = (lines: readonly (readonly PagePoint[])[]): string =>
  lines.map((line) => `M${line.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join(' L')}`).join(' ');

/** The arrows and brackets of a page, beneath its words. */
export function Leads({ markings: { markings, page }, size }: { markings: Markings; size: PageSize }) {
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute inset-0 size-full"
      viewBox={`0 0 ${size.width} ${size.height}`}
    >
      {markings.flatMap(({ marking }) =>
        marking.lead && marking.page === page ? (
          <path
            key={marking.id}
            d={pathOf(leadLines(leadFrom(marking), marking.lead.to, marking.lead.as))}
            data-colour={marking.colour}
            className="marking-lead"
          />
        ) : (
          []
        ),
      )}
    </svg>
  );
}
