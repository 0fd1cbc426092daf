import type { Filling } from '#client/filling';
import type { NamedBox } from './boxesOfParts';
import { Outlined } from './Outlined';
import { Reading } from './Reading';

/** Where a part goes, and another box for it, or none. */
export function PartLine({
  part,
  filling,
  boxes,
  place,
  setPlace,
}: {
  part: Filling['parts'][number];
  filling: Filling;
  boxes: readonly NamedBox[];
  place: NamedBox | null;
  setPlace: (to: NamedBox | null) => void;
}) {
  return (
    <div className="part">
      <p className="part-name">
        <b>{part.name}</b>
        <label>
          goes to{' '}
          <select
            value={place ? boxes.indexOf(place) : -1}
            onChange={(event) => setPlace(boxes[Number(event.target.value)] ?? null)}
          >
            {boxes.map(({ label }, at) => (
              <option key={at} value={at}>
                {label || 'a box without a name'}
              </option>
            ))}
            <option value={-1}>nowhere: left out</option>
          </select>
        </label>
      </p>
      <Reading
        passage={part.passage}
        fields={filling.placement.fields}
        current={null}
        goTo={() => undefined}
      />
      {place && <Outlined element={place.box.element} />}
    </div>
  );
}
