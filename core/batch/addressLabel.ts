import { cellIn, type BatchSetup } from './setup';

/** Heads of columns that stand on an address label, in the order in which they stand there. */
const ON_LABEL: readonly (readonly string[])[] = [
  ['name', 'full name', 'applicant', 'person', 'enw'],
  ['organisation', 'organization', 'company', 'firma', 'school'],
  ['address', 'address 1', 'address line 1', 'street', 'strasse', 'straße', 'cyfeiriad'],
  ['address 2', 'address line 2'],
  ['town', 'city', 'place', 'ort', 'tref'],
  ['county'],
  ['postcode', 'post code', 'postal code', 'zip', 'plz', 'cod post'],
  ['country', 'land', 'gwlad'],
];

/** The lines of a row's address label; fewer than two where the table has no address. */
export function addressLabel(setup: Pick<BatchSetup, 'columns'>, cells: readonly string[]): string[] {
  return ON_LABEL.flatMap((heads) => {
    const column = setup.columns.find(({ head }) => heads.includes(head.trim().toLocaleLowerCase()));
    const words = cellIn(setup, cells, column ?? null).trim();
    return words === '' ? [] : words.split(/\s*\n\s*|,\s+/);
  });
}
