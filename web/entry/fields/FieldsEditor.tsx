import { renameField, type Field, type FieldUses } from '#core/entry';
import { Button, moved, Sortable } from '../../ui';
import { FieldEditor } from './FieldEditor';

interface Props {
  fields: readonly Field[];
  /** The words of the wording that fields were made of, by their ids. */
  madeFrom: ReadonlyMap<string, string>;
  uses: ReadonlyMap<string, FieldUses>;
  open: string | null;
  editable: boolean;
  setOpen: (field: string | null) => void;
  change: (fields: Field[]) => void;
  /** Makes a field that no blank asks for yet, as what others are worked out from. */
  add: () => void;
}

const UNUSED: FieldUses = { blanks: 0, elsewhere: 0 };

/** The fields of an entry, in the order they were put in; a field still in use cannot be removed by accident. */
export function FieldsEditor({ fields, madeFrom, uses, open, editable, setOpen, change, add }: Props) {
  return (
    <>
      {fields.length === 0 && (
        <p className="text-[14px] text-soft">
          No fields yet: select words that differ each time, and make them a blank.
        </p>
      )}
      <Sortable ids={fields.map(({ id }) => id)} move={(from, to) => change(moved(fields, from, to))}>
        <ul>
          {fields.map((field, index) => (
            <FieldEditor
              key={field.id}
              field={field}
              fields={fields}
              madeFrom={madeFrom.get(field.id)}
              uses={uses.get(field.id) ?? UNUSED}
              open={open === field.id}
              editable={editable}
              toggle={() => setOpen(open === field.id ? null : field.id)}
              change={(changed) => change(fields.map((one, at) => (at === index ? changed : one)))}
              rename={(name) => change(renameField(fields, field.id, name))}
              remove={() => change(fields.filter((_, at) => at !== index))}
            />
          ))}
        </ul>
      </Sortable>
      {editable && (
        <Button className="mt-2 text-[14px]" onClick={add}>
          Add a field
        </Button>
      )}
    </>
  );
}
