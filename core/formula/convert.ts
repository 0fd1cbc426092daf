import { FormulaFault } from './formulaError';
import { numberOf, sound, textOf, type FormulaValue } from './formulaValue';
import type { Call } from './functions';

/** How many of the first unit of its row one of each unit is. */
const UNITS: readonly Record<string, number>[] = [
  { g: 1, kg: 1000, mg: 0.001, µg: 0.000001, mcg: 0.000001, ug: 0.000001, lbm: 453.59237, ozm: 28.349523125 },
  { m: 1, mm: 0.001, cm: 0.01, km: 1000, in: 0.0254, ft: 0.3048, mi: 1609.344 },
  { l: 1, L: 1, ml: 0.001, mL: 0.001 },
  { day: 1, days: 1, hr: 1 / 24, hours: 1 / 24, mn: 1 / 1440, min: 1 / 1440, minutes: 1 / 1440, weeks: 7 },
];
const TO_CELSIUS: Record<string, (value: number) => number> = {
  C: (value) => value,
  '°C': (value) => value,
  F: (value) => ((value - 32) * 5) / 9,
  '°F': (value) => ((value - 32) * 5) / 9,
};
const FROM_CELSIUS: Record<string, (value: number) => number> = {
  C: (value) => value,
  '°C': (value) => value,
  F: (value) => (value * 9) / 5 + 32,
  '°F': (value) => (value * 9) / 5 + 32,
};

/** The same amount in another unit; null when the two do not measure the same thing. */
function converted(value: number, from: string, to: string): number | null {
  if (from === to) return value;
  const row = UNITS.find((units) => from in units && to in units);
  if (row) return (value * row[from]!) / row[to]!;
  const [read, write] = [TO_CELSIUS[from], FROM_CELSIUS[to]];
  return read && write ? write(read(value)) : null;
}

/**
 * CONVERT of OpenFormula (number; from; to); with two arguments it converts an amount from its own unit, as a
 * weight of a record has one. A number without a unit is taken to be in the wanted one.
 */
export function convert({ args, at, around }: Call): FormulaValue {
  const [amount, first, second] = args;
  const { value } = amount!;
  const own = value.kind === 'number' ? value.unit : undefined;
  const to = textOf((second ?? first)!, around.language);
  const from = second ? textOf(first!, around.language) : own || to;
  const made = converted(numberOf(amount!), from, to);
  if (made === null) throw new FormulaFault({ code: 'not-found', ...(second ?? first)!.at });
  return sound(made, at);
}
