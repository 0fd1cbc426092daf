import { useState } from 'react';
import type { Case, Tray } from '#contracts';
import { inWords } from '#client/api';
import { nameFaults, stemOf, type TraySetup } from '#core/naming';
import { useBankIndex } from '../../api';
import { Figure } from '../../shell';
import { Notice, Picks, TextField } from '../../ui';
import { PatternForm } from './PatternForm';
import { PatternList } from './PatternList';
import { TrayHead } from './TrayHead';
import { useSetupChange } from './useTray';

const SAMPLE = '2026-03-04 Café Hollin, May Bill';

const SPACES = [
  ['kept', 'stay spaces'],
  ['hyphens', 'become hyphens'],
  ['underscores', 'become underscores'],
] as const;
const CAPITALS = [
  ['kept', 'stay as they are typed'],
  ['lower', 'become small letters'],
] as const;
const ACCENTS = [
  ['kept', 'keep their accents'],
  ['plain', 'lose their accents'],
] as const;

/** A line of words that is kept when one leaves it. */
function KeptField({
  label,
  hint,
  value,
  most,
  keep,
}: {
  label: string;
  hint: string;
  value: string;
  most: number;
  keep: (value: string) => void;
}) {
  const [words, setWords] = useState(value);
  const leave = () => words.trim() !== value && keep(words.trim());
  return (
    <TextField
      {...{ label, hint, value: words, maxLength: most }}
      spellCheck={false}
      onChange={(event) => setWords(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => event.key === 'Enter' && leave()}
    />
  );
}

const NOWHERE = { taken: new Map<string, never>() };

/** How words become names in this tray. */
function Style({ setup, keep }: { setup: TraySetup; keep: (setup: TraySetup) => void }) {
  const { style } = setup;
  const pick = (change: Partial<TraySetup['style']>) => keep({ ...setup, style: { ...style, ...change } });
  const sample = stemOf(SAMPLE, style);
  const fits = nameFaults(`${sample}.pdf`, { ...NOWHERE, folder: setup.folder }).length === 0;
  return (
    <section aria-label="How words become names" className="grid gap-4 px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">How words become names</h2>
      <div className="grid grid-cols-3 items-start gap-4 max-[899px]:grid-cols-1">
        <Picks legend="Spaces" options={SPACES} value={style.spaces} pick={(spaces) => pick({ spaces })} />
        <Picks
          legend="Capitals"
          options={CAPITALS}
          value={style.capitals}
          pick={(capitals) => pick({ capitals })}
        />
        <Picks
          legend="Letters"
          options={ACCENTS}
          value={style.accents}
          pick={(accents) => pick({ accents })}
        />
      </div>
      <p className="text-[14px] text-soft">
        “{SAMPLE}” becomes <span className="font-book text-[16px] text-ink">{sample}.pdf</span>
        {!fits && ', which is too long in this folder'}
      </p>
      <div className="grid max-w-xl gap-3">
        <KeptField
          label="Path of the folder, if it is long"
          hint="Windows takes 259 characters for folder and name together. Browsers do not tell where a folder is."
          value={setup.folder}
          most={260}
          keep={(folder) => keep({ ...setup, folder })}
        />
        <KeptField
          label="Your own numbers"
          hint="One of each kind, with commas between them: HM-2026-0042. Others like it are found in files."
          value={setup.numbers.join(', ')}
          most={400}
          keep={(words) =>
            keep({
              ...setup,
              numbers: words
                .split(',')
                .map((one) => one.trim())
                .filter((one) => one.length >= 2 && one.length <= 40)
                .slice(0, 10),
            })
          }
        />
      </div>
    </section>
  );
}

/** How the files of a tray are named: what becomes of spaces and capitals, and the patterns that names are made by. */
export function HowView({ one, tray }: { one: Case; tray: Tray }) {
  const index = useBankIndex();
  const { mutate: keep, error } = useSetupChange(one.id);
  return (
    <Figure
      marginLabel="Patterns of names"
      margin={
        <div className="grid gap-4 pt-6">
          {error && <Notice tone="warning" title={inWords(error)} />}
          {index && <PatternList index={index} />}
        </div>
      }
    >
      <TrayHead one={one} view="how" />
      <Style setup={tray.setup} keep={keep} />
      {index && <PatternForm {...{ index, tray }} />}
    </Figure>
  );
}
