import type { Batch, Case } from '#contracts';
import type { BatchSetup } from '#core/batch';
import { Figure } from '../../../shell';
import { BatchHead } from '../BatchHead';
import { FillingIn } from '../FillingIn';
import type { LettersMade } from '../useLetters';
import { Again } from './Again';
import { Files } from './Files';
import { Mail } from './Mail';
import { WhereTheyAre } from './WhereTheyAre';

interface Props {
  one: Case;
  batch: Batch;
  setup: BatchSetup;
  made: LettersMade;
  keep: (setup: BatchSetup) => void;
  /** Whether something is on its way to be kept. */
  isKeeping: boolean;
}

/** How the letters of a batch go out; and what went where. */
export function OutView({ one, batch, setup, made, keep, isKeeping }: Props) {
  const { letters, isReady, done } = made;
  const checked = letters.filter(({ state }) => state === 'checked');
  const of = one.id;
  return (
    <Figure
      marginLabel="What went where"
      margin={
        <div className="pt-6">
          <WhereTheyAre {...{ of, letters }} title={one.title} />
        </div>
      }
    >
      <BatchHead one={one} view="out" />
      {!isReady && <FillingIn done={done} />}
      {/* Not taken away meanwhile: what is being sent or written goes on. */}
      <div hidden={!isReady}>
        <Mail {...{ of, setup, checked, keep, isKeeping, letters }} byServer={batch.byServer} />
        <Files {...{ of, setup, checked, keep, isKeeping }} title={one.title} />
        <Again {...{ one, setup }} />
      </div>
    </Figure>
  );
}
