import {
  LABEL_ENDS,
  TIME_FORMS,
  TIME_PLACES,
  type LabelStyle,
  type TimeStyle,
  type Transcript,
} from '#core/transcript';
import { Button, Key, SelectField, Tick } from '../../ui';
import type { TurnActs } from './turnActs';

const ENDS: Record<LabelStyle['after'], string> = {
  tab: 'on the same line, after a tab',
  space: 'on the same line, after a space',
  line: 'on a line of their own',
};
const FORMS: Record<TimeStyle['form'], string> = {
  clock: '00:12:33',
  brackets: '[00:12:33]',
  seconds: '753.4 s',
  frames: '00:12:33:10 (frames)',
};
const PLACES: Record<TimeStyle['shown'], string> = {
  margin: 'beside each turn',
  text: 'before each label',
  none: 'nowhere',
};
/** Frames in a second as film has them. */
const RATES = [23.976, 24, 25, 29.97, 30, 50, 60];
const EVERY = [0, 1, 2, 5, 10, 15];

interface OfLabels {
  labels: LabelStyle;
  write: (change: Partial<LabelStyle>) => void;
}

/** How labels are written. */
const LabelFields = ({ labels, write }: OfLabels) => (
  <>
    <SelectField
      label="Labels"
      autoFocus
      value={labels.by}
      onChange={({ target }) => write({ by: target.value as LabelStyle['by'] })}
    >
      <option value="name">names</option>
      <option value="initials">initials</option>
      <option value="none">none (one person dictates)</option>
    </SelectField>
    <SelectField
      label="The words"
      value={labels.after}
      onChange={({ target }) => write({ after: target.value as LabelStyle['after'] })}
    >
      {LABEL_ENDS.map((end) => (
        <option key={end} value={end}>
          {ENDS[end]}
        </option>
      ))}
    </SelectField>
    <div className="flex flex-wrap gap-x-4">
      <Tick on={labels.capitals} toggle={() => write({ capitals: !labels.capitals })}>
        Capitals
      </Tick>
      <Tick on={labels.colon} toggle={() => write({ colon: !labels.colon })}>
        Colon
      </Tick>
      <Tick on={labels.bold} toggle={() => write({ bold: !labels.bold })}>
        Bold
      </Tick>
    </div>
  </>
);

interface OfTimes {
  times: TimeStyle;
  write: (change: Partial<TimeStyle>) => void;
}

/** Where times are shown, and how they are written. */
const TimeFields = ({ times, write }: OfTimes) => (
  <>
    <SelectField
      label="Times of turns"
      value={times.shown}
      onChange={({ target }) => write({ shown: target.value as TimeStyle['shown'] })}
    >
      {TIME_PLACES.map((place) => (
        <option key={place} value={place}>
          {PLACES[place]}
        </option>
      ))}
    </SelectField>
    {times.shown !== 'none' && (
      <SelectField
        label="How often"
        value={times.every}
        onChange={({ target }) => write({ every: Number(target.value) })}
      >
        {EVERY.map((minutes) => (
          <option key={minutes} value={minutes}>
            {minutes === 0 ? 'each turn' : minutes === 1 ? 'every minute' : `every ${minutes} minutes`}
          </option>
        ))}
      </SelectField>
    )}
    <SelectField
      label="Times are written"
      value={times.form}
      onChange={({ target }) => write({ form: target.value as TimeStyle['form'] })}
    >
      {TIME_FORMS.map((form) => (
        <option key={form} value={form}>
          {FORMS[form]}
        </option>
      ))}
    </SelectField>
    {times.form === 'frames' && (
      <SelectField
        label="Frames in a second"
        value={times.rate}
        onChange={({ target }) => write({ rate: Number(target.value) })}
      >
        {RATES.map((rate) => (
          <option key={rate}>{rate}</option>
        ))}
      </SelectField>
    )}
  </>
);

interface Props {
  transcript: Transcript;
  acts: TurnActs;
  close: () => void;
}

/** How labels and times are written: on the leaf at once, and in all that goes out. */
export const WritingStyle = ({ transcript: { labels, times }, acts, close }: Props) => (
  <section aria-label="Labels and times" className="slip grid gap-3">
    <h2 className="section-head">Labels and times</h2>
    <LabelFields labels={labels} write={(change) => acts.write({ labels: { ...labels, ...change } })} />
    <TimeFields times={times} write={(change) => acts.write({ times: { ...times, ...change } })} />
    <Button className="w-fit" onClick={close}>
      Close <Key>Esc</Key>
    </Button>
  </section>
);
