import type { Collection } from '#contracts';
import { ActingSelect } from '../ui';

interface Props {
  label: string;
  places: readonly Collection[];
  disabled?: boolean;
  to: (place: Collection) => void;
}

/** Another collection for one entry or many, of those they can go to. */
export function MoveTo({ label, places, disabled = false, to }: Props) {
  return (
    <ActingSelect
      label={label}
      value=""
      disabled={disabled}
      act={(id) => {
        const place = places.find((one) => one.id === id);
        if (place) to(place);
      }}
    >
      <option value="">another collection</option>
      {places.map(({ id, name, own }) => (
        <option key={id} value={id}>
          {name}
          {!own && ' (shared)'}
        </option>
      ))}
    </ActingSelect>
  );
}
