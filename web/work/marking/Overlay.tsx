import { markingUnit, type PagePoint } from '#core/passage';
import type { PdfQuad } from '#core/submission';
import type { PageSize } from '../../documents';
import { leadFrom, leadLines } from './leads';
import type { NoteOnPage } from './useNotes';
import type { PageFind } from './usePageFind';
import type { Markings } from './useMarkings';

const pathOf = (lines: readonly (readonly PagePoint[])[]): string =>
  lines.map((line) => `M${line.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join(' L')}`).join(' ');

const outlineOf = ([a, b, c, d]: PdfQuad): string =>
  [a, b, d, c].map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');

/** What is drawn on a page beneath its markings: where they lead, words that were found, what others have remarked on. */
export function Overlay({
  markings: { markings, page },
  size,
  find,
  notes,
}: {
  markings: Markings;
  size: PageSize;
  find: PageFind;
  notes: readonly NoteOnPage[];
}) {
  const unit = markingUnit(size);
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute inset-0 size-full"
      viewBox={`0 0 ${size.width} ${size.height}`}
    >
      {notes.flatMap((note, at) =>
        note.page === page
          ? note.on.map(({ left, top, right, bottom }, part) => (
              <rect
                key={`${at} ${part}`}
                {...{ x: left, y: top, width: right - left, height: bottom - top }}
                className="page-note"
              />
            ))
          : [],
      )}
      {find.found.flatMap((one, at) =>
        one.page === page
          ? one.quads.map((quad, part) => (
              <polygon
                key={`${at} ${part}`}
                points={outlineOf(quad)}
                className={`page-found ${one === find.current ? 'is-current' : ''}`}
              />
            ))
          : [],
      )}
      {markings.flatMap(({ marking }) =>
        marking.lead && marking.page === page ? (
          <path
            key={marking.id}
            d={pathOf(leadLines(leadFrom(marking, unit), marking.lead.to, marking.lead.as, unit))}
            strokeWidth={unit}
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
