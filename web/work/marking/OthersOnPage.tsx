import type { OthersMarkings } from '#contracts';
import { markingPoints, markingUnit } from '#core/passage';
import type { PageSize } from '../../documents';

/** What colleagues have marked on a page, at its places: to be read, and not written in. */
export function OthersOnPage({
  others,
  page,
  scale,
  size,
}: {
  others: readonly OthersMarkings[];
  page: number;
  scale: number;
  size: PageSize;
}) {
  const unit = markingUnit(size);
  return others.flatMap(({ author, authorName, markings }) =>
    markings
      .filter((one) => one.page === page && one.words !== '')
      .map((one) => (
        <p
          key={`${author} ${one.id}`}
          title={`${authorName}: ${one.words}`}
          className="marking-of-other"
          style={{
            ...{ left: one.at.x * scale, top: one.at.y * scale },
            fontSize: markingPoints(one, unit) * scale,
          }}
        >
          {one.words}
        </p>
      )),
  );
}
