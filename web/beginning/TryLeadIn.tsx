import { useState } from 'react';
import { LEAD_IN_TRIED, leadInTried, type TriedKey } from '#core/cue';
import { SelectField, TextField } from '../ui';

/** Signs that are near the letters on most keyboards, and begin no word. */
const LEAD_INS = [',', ';', '.', '/', "'", '-', '+', '#'] as const;

interface Props {
  leadIn: string;
  change: (leadIn: string) => void;
}

/** What cues begin with, tried on this very keyboard. */
export function TryLeadIn({ leadIn, change }: Props) {
  const [typed, setTyped] = useState('');
  const [keys, setKeys] = useState<readonly TriedKey[]>([]);
  const told = leadInTried(leadIn, keys);
  return (
    <div className="grid grid-cols-[9rem_1fr] items-end gap-x-6 gap-y-1 max-[899px]:grid-cols-1">
      <SelectField
        label="Cues begin with"
        value={leadIn}
        onChange={({ target }) => {
          change(target.value);
          setTyped('');
          setKeys([]);
        }}
      >
        {LEAD_INS.map((sign) => (
          <option key={sign} value={sign}>
            {sign}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Try it on this keyboard"
        placeholder={`${leadIn}wt`}
        autoComplete="off"
        value={typed}
        onKeyDown={({ key, nativeEvent }) =>
          setKeys((now) => [...now.slice(-20), { key, altGraph: nativeEvent.getModifierState('AltGraph') }])
        }
        onChange={({ target }) => setTyped(target.value)}
      />
      <p
        role="status"
        className={`text-[14px] min-[900px]:col-start-2 ${told === 'good' ? 'text-leaf' : told === 'untried' ? 'text-soft' : 'text-rust'}`}
      >
        {LEAD_IN_TRIED[told]}
      </p>
    </div>
  );
}
