import { useCallback, useState } from 'react';
import { inWords } from '#client/api';
import { addressLabel, type BatchSetup } from '#core/batch';
import type { WayOut } from '#contracts';
import { Button, Notice, SelectField, TextField, useTypedUntilKept } from '../../../ui';
import type { Letter } from '../letterMaker';
import { useRowChanges } from '../useBatch';
import { countLetters } from './countLetters';
import { letterCount } from './letterCount';
import { PlaceInDocuments } from './PlaceInDocuments';
import { PrintedLetters } from './PrintedLetters';
import { useWriting, WAY_OF, type Form, type Written } from './useWriting';

const FORMS: readonly [Form, string][] = [
  ['docx', 'one Word document, a page for each'],
  ['docx-each', 'a Word document for each (zip)'],
  ['pdf', 'one PDF, a page for each'],
  ['pdf-each', 'a PDF for each (zip)'],
  ['html-each', 'a web page for each (zip)'],
  ['text-each', 'plain text for each (zip)'],
  ['eml-each', 'a message file for each (zip of eml)'],
  ['into-docx', 'each in the document of its row (zip of docx)'],
  ['labels', 'address labels (PDF, 21 on a page)'],
];

interface Props {
  of: string;
  title: string;
  setup: BatchSetup;
  checked: readonly Letter[];
  keep: (setup: BatchSetup) => void;
  /** Whether something is on its way to be kept. */
  isKeeping: boolean;
}

/** How files are called: kept on leaving. */
function FileNames({ setup, keep, isKeeping }: Pick<Props, 'setup' | 'keep' | 'isKeeping'>) {
  const line = useTypedUntilKept(setup.fileNames, (fileNames) => keep({ ...setup, fileNames }), isKeeping);
  return (
    <TextField
      label="Files are called"
      hint={`{n} is the number of the row; columns between braces, such as {${setup.columns[0]?.head ?? 'Name'}}.`}
      value={line.words}
      maxLength={200}
      onChange={({ target }) => line.type(target.value)}
      onBlur={line.leave}
    />
  );
}

interface GoneProps {
  title: string;
  remarks: readonly string[];
  /** What marks them as gone; null where nothing of them is a letter that goes out. */
  mark: { words: string; run: () => void } | null;
  isMarking: boolean;
}

/** What was saved or printed, and the plain act that says that it goes out so. */
const Saved = ({ title, remarks, mark, isMarking }: GoneProps) => (
  <Notice title={title}>
    {remarks.slice(0, 20).map((remark) => (
      <p key={remark} className="text-rust">
        {remark}
      </p>
    ))}
    {mark && (
      <Button className="mt-1" disabled={isMarking} onClick={mark.run}>
        {mark.words}
      </Button>
    )}
  </Notice>
);

/** Marks letters as gone out in a way, and counts what they saved. */
function useMarkGone(of: string) {
  const changes = useRowChanges(of);
  const mark = (letters: readonly Letter[], way: WayOut, done: () => void) =>
    changes.mutate(
      letters.map(({ row, document }) => ({ row: row.id, gone: { way, document: document! } })),
      {
        onSuccess: () => {
          countLetters(letters);
          done();
        },
      },
    );
  return { mark, isMarking: changes.isPending, error: changes.error };
}

/** On the button that writes: what it writes, or how far it is. */
function writeWords(form: Form, count: number, done: number, isPending: boolean): string {
  if (isPending) return `Writing … ${done.toLocaleString()} of ${count.toLocaleString()}`;
  if (form === 'labels') return `Save ${count.toLocaleString()} ${count === 1 ? 'label' : 'labels'}`;
  return `Save ${letterCount(count)}`;
}

const savedWords = (count: number) =>
  count === 1 ? 'One letter was saved.' : `${letterCount(count)} were saved.`;

interface MadeProps {
  made: Written;
  checked: readonly Letter[];
  mark: (letters: readonly Letter[], way: WayOut) => void;
  isMarking: boolean;
}

/** What was saved; letters of it that have not gone meanwhile can be marked as gone. */
function Made({ made, checked, mark, isMarking }: MadeProps) {
  const way = WAY_OF[made.form];
  const still = made.letters.filter(({ row }) => checked.some((each) => each.row.id === row.id));
  return (
    <Saved
      title={savedWords(made.letters.length)}
      remarks={made.remarks}
      isMarking={isMarking}
      mark={
        way && still.length > 0
          ? { words: 'They go out so: mark them as gone', run: () => mark(still, way) }
          : null
      }
    />
  );
}

/** Letters go out as files, or on paper. */
export function Files({ of, title, setup, checked, keep, isKeeping }: Props) {
  const [form, setForm] = useState<Form>('docx');
  const [isPrinting, setPrinting] = useState(false);
  const [printed, setPrinted] = useState<readonly Letter[]>([]);
  const { write, done, stop, error } = useWriting(of, title, setup);
  const gone = useMarkGone(of);
  const endPrinting = useCallback(() => {
    setPrinting(false);
    setPrinted(checked);
  }, [checked]);
  const labels = checked.filter(({ row }) => addressLabel(setup, row.cells).length > 1).length;
  const count = form === 'labels' ? labels : checked.length;
  const areDocuments = checked.some(({ row }) => row.file !== null);
  return (
    <section aria-label="As files and on paper" className="border-b border-hair px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">As files, and on paper</h2>
      <div className="mt-2 grid max-w-xl gap-3">
        <SelectField label="As" value={form} onChange={({ target }) => setForm(target.value as Form)}>
          {FORMS.filter(([each]) => each !== 'into-docx' || areDocuments).map(([each, words]) => (
            <option key={each} value={each}>
              {words}
            </option>
          ))}
        </SelectField>
        {form === 'into-docx' && <PlaceInDocuments {...{ of, setup, keep }} letters={checked} />}
        {(form.endsWith('each') || form === 'into-docx') && <FileNames {...{ setup, keep, isKeeping }} />}
        <p className="flex flex-wrap items-baseline gap-3">
          <Button
            disabled={count === 0 || write.isPending}
            onClick={() => write.mutate({ form, letters: checked })}
          >
            {writeWords(form, count, done, write.isPending)}
          </Button>
          {write.isPending && <Button onClick={stop}>Stop</Button>}
          <Button disabled={checked.length === 0 || isPrinting} onClick={() => setPrinting(true)}>
            Print {letterCount(checked.length)}
          </Button>
        </p>
        {form === 'labels' && labels < checked.length && (
          <p className="text-[13.5px] text-soft">
            Labels are made of columns such as Name, Address, Town and Postcode. Without an address:{' '}
            {letterCount(checked.length - labels)}.
          </p>
        )}
        {isPrinting && <PrintedLetters letters={checked} done={endPrinting} />}
        {write.data && (
          <Made
            made={write.data}
            checked={checked}
            isMarking={gone.isMarking}
            mark={(still, way) => gone.mark(still, way, write.reset)}
          />
        )}
        {printed.length > 0 && !isPrinting && (
          <Saved
            title="They were given to the printer."
            remarks={[]}
            isMarking={gone.isMarking}
            mark={{
              words: 'They are on paper: mark them as gone',
              run: () => gone.mark(printed, 'print', () => setPrinted([])),
            }}
          />
        )}
        {error && <Notice tone="warning" title={inWords(error)} />}
        {gone.error && <Notice tone="warning" title={inWords(gone.error)} />}
      </div>
    </section>
  );
}
