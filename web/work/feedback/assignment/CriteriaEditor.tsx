import { X } from 'lucide-react';
import { useRef } from 'react';
import type { Criterion, CriterionLevel } from '#core/work';
import { Button, TextField, useFocusNext } from '../../../ui';

const MOST = { criteria: 30, levels: 12 };

/** A criterion as it is written: points are text until they are sent. */
export interface WrittenCriterion {
  id: string;
  name: string;
  levels: { id: string; name: string; words: string; points: string }[];
}

/** Criteria as they are written in the form. */
export const writtenCriteria = (criteria: readonly Criterion[]): WrittenCriterion[] =>
  criteria.map(({ levels, ...criterion }) => ({
    ...criterion,
    levels: levels.map((level) => ({ ...level, points: level.points === null ? '' : String(level.points) })),
  }));

/** Points as typed, with a comma or a point before tenths; null where none can be read. */
function pointsOf(typed: string): number | null {
  const number = Number(typed.trim().replace(',', '.'));
  return typed.trim() !== '' && Number.isFinite(number) && number >= 0 ? number : null;
}

/** Criteria as they are sent: rows without a name were begun and left. */
export const criteriaWritten = (written: readonly WrittenCriterion[]): Criterion[] =>
  written
    .filter(({ name }) => name.trim() !== '')
    .map(({ id, name, levels }) => ({
      ...{ id, name: name.trim() },
      levels: levels
        .filter((level) => level.name.trim() !== '')
        .map((level): CriterionLevel => ({
          ...level,
          name: level.name.trim(),
          points: pointsOf(level.points),
        })),
    }));

const fresh = () => crypto.randomUUID();

const RemoveButton = ({ what, remove }: { what: string; remove: () => void }) => (
  <button
    type="button"
    aria-label={`Remove ${what}`}
    className="self-end rounded-[3px] p-1 text-soft hover:text-elder"
    onClick={remove}
  >
    <X size={14} aria-hidden />
  </button>
);

interface LevelsProps {
  of: WrittenCriterion;
  /** Levels of the criterion before, to begin with the same. */
  before: WrittenCriterion['levels'] | null;
  put: (levels: WrittenCriterion['levels']) => void;
}

/** The levels of one criterion, the best first. */
function Levels({ of: { name, levels }, before, put }: LevelsProps) {
  const list = useRef<HTMLDivElement>(null);
  const focusNext = useFocusNext();
  const set = (at: number, part: Partial<WrittenCriterion['levels'][number]>) =>
    put(levels.map((level, index) => (index === at ? { ...level, ...part } : level)));
  const goToLast = () =>
    focusNext(() => [...(list.current?.querySelectorAll<HTMLElement>('[data-level-name]') ?? [])].at(-1));
  const add = () => {
    put([...levels, { id: fresh(), name: '', words: '', points: '' }]);
    goToLast();
  };
  const take = (from: WrittenCriterion['levels']) => {
    put(from.map((level) => ({ ...level, id: fresh() })));
    goToLast();
  };
  return (
    <div ref={list} className="grid gap-2 border-l border-hair pl-4">
      {levels.map((level, at) => (
        <div key={level.id} className="grid grid-cols-[1fr_4rem_auto] gap-x-3 gap-y-1">
          <TextField
            label="Level"
            data-level-name
            maxLength={80}
            value={level.name}
            onChange={({ target }) => set(at, { name: target.value })}
          />
          <TextField
            label="Points"
            inputMode="decimal"
            value={level.points}
            onChange={({ target }) => set(at, { points: target.value })}
          />
          <RemoveButton
            what={`the level ${level.name}`}
            remove={() => put(levels.filter((_, index) => index !== at))}
          />
          <div className="col-span-3">
            <TextField
              label="Words for the summing-up"
              maxLength={2000}
              value={level.words}
              onChange={({ target }) => set(at, { words: target.value })}
            />
          </div>
        </div>
      ))}
      <p className="flex flex-wrap gap-x-4 text-[13px]">
        {levels.length < MOST.levels && (
          <Button look="text" onClick={add}>
            Add a level<span className="sr-only"> to {name || 'this criterion'}</span>
          </Button>
        )}
        {levels.length === 0 && before && before.length > 0 && (
          <Button look="text" onClick={() => take(before)}>
            The same levels as before
          </Button>
        )}
      </p>
    </div>
  );
}

interface Props {
  criteria: readonly WrittenCriterion[];
  put: (criteria: WrittenCriterion[]) => void;
}

/** What work is judged by: criteria, each with levels where they are wanted. */
export function CriteriaEditor({ criteria, put }: Props) {
  const list = useRef<HTMLFieldSetElement>(null);
  const focusNext = useFocusNext();
  const set = (at: number, part: Partial<WrittenCriterion>) =>
    put(criteria.map((one, index) => (index === at ? { ...one, ...part } : one)));
  const add = () => {
    put([...criteria, { id: fresh(), name: '', levels: [] }]);
    focusNext(() => [...(list.current?.querySelectorAll<HTMLElement>('[data-criterion]') ?? [])].at(-1));
  };
  return (
    <fieldset ref={list} className="grid gap-3">
      <legend className="eyebrow">Criteria</legend>
      {criteria.map((one, at) => (
        <div key={one.id} className="grid gap-2">
          <div className="grid grid-cols-[1fr_auto] gap-3">
            <TextField
              label={`Criterion ${at + 1}`}
              data-criterion
              maxLength={80}
              value={one.name}
              onChange={({ target }) => set(at, { name: target.value })}
              onKeyDown={(event) => {
                // Names one after another: Enter begins the next, and sends nothing.
                if (event.key !== 'Enter' || event.nativeEvent.isComposing) return;
                event.preventDefault();
                if (one.name.trim() !== '' && criteria.length < MOST.criteria) add();
              }}
            />
            <RemoveButton
              what={`the criterion ${one.name}`}
              remove={() => put(criteria.filter((_, index) => index !== at))}
            />
          </div>
          <Levels of={one} before={criteria[at - 1]?.levels ?? null} put={(levels) => set(at, { levels })} />
        </div>
      ))}
      {criteria.length < MOST.criteria && (
        <p className="text-[13px]">
          <Button look="text" onClick={add}>
            Add a criterion
          </Button>
        </p>
      )}
    </fieldset>
  );
}
