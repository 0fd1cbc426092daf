import type { Case, Tray } from '#contracts';
import { inWords } from '#client/api';
import { nameFaults, stemOf, type TraySetup } from '#core/naming';
import { useBankIndex } from '../../api';
import { Figure } from '../../shell';
import { Notice, Picks, TextField, useTypedUntilKept } from '../../ui';
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

interface KeptFieldProps {
  label: string;
  hint: string;
  value: string;
  most: number;
  /** The words as they can be kept. */
  tidied: (words: string) => string;
  keep: (value: string) => void;
  isKeeping: boolean;
}

/** A line of words that is kept when one leaves it. */
function KeptField({ label, hint, value, most, tidied, keep, isKeeping }: KeptFieldProps) {
  const { words, type, leave } = useTypedUntilKept(value, keep, isKeeping, tidied);
  return (
    <TextField
      {...{ label, hint, value: words, maxLength: most }}
      spellCheck={false}
      onChange={(event) => type(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => event.key === 'Enter' && !event.nativeEvent.isComposing && leave()}
    />
  );
}

const NOWHERE = { taken: new Map<string, never>() };

/** Numbers of one's own with commas between them. */
const numbersIn = (words: string): string[] =>
  words
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one.length >= 2 && one.length <= 40)
    .slice(0, 10);

interface StyleProps {
  setup: TraySetup;
  keep: (setup: TraySetup) => void;
  isKeeping: boolean;
}

/** How words become names in this tray. */
function Style({ setup, keep, isKeeping }: StyleProps) {
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
          isKeeping={isKeeping}
          tidied={(folder) => folder.trim()}
          keep={(folder) => keep({ ...setup, folder })}
        />
        <KeptField
          label="Your own numbers"
          hint="One of each kind, with commas between them: HM-2026-0042. Others like it are found in files."
          value={setup.numbers.join(', ')}
          most={400}
          isKeeping={isKeeping}
          tidied={(words) => numbersIn(words).join(', ')}
          keep={(words) => keep({ ...setup, numbers: numbersIn(words) })}
        />
      </div>
    </section>
  );
}

/** How the files of a tray are named: what becomes of spaces and capitals, and the patterns that names are made by. */
export function HowView({ one, tray }: { one: Case; tray: Tray }) {
  const index = useBankIndex();
  const { keep, error, isKeeping } = useSetupChange(one.id);
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
      <Style setup={tray.setup} {...{ keep, isKeeping }} />
      {index && <PatternForm {...{ index, tray }} />}
    </Figure>
  );
}
