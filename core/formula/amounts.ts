import { converted } from '#core/units';
import { FormulaFault, type FormulaSpan } from './formulaError';
import { numberOf, sound, type Amount, type FormulaValue, type PlacedValue } from './formulaValue';

const amountOf = (placed: PlacedValue): Amount =>
  placed.value.kind === 'number' ? placed.value : { kind: 'number', value: numberOf(placed) };

/** Throws the fault that two amounts do not measure the same thing. */
function unitsDiffer(at: FormulaSpan, wanted: string, found: string): never {
  throw new FormulaFault({ code: 'units-differ', wanted, found, from: at.from, to: at.to });
}

/**
 * A value in the unit of another amount. A bare number is taken to be in that unit, as one that its author wrote is. Throws
 * where the two measure different things.
 */
export function inUnitOf(placed: PlacedValue, wanted: Amount): number {
  const { value, unit, difference } = amountOf(placed);
  if (unit === undefined || wanted.unit === undefined) return value;
  return (
    converted(value, unit, wanted.unit, difference === true) ?? unitsDiffer(placed.at, wanted.unit, unit)
  );
}

/** The first of some values that has a unit, for all to be told in; else the first. */
export function tellingUnit(all: readonly PlacedValue[]): Amount {
  const amounts = all.map(amountOf);
  return amounts.find(({ unit }) => unit !== undefined) ?? amounts[0] ?? { kind: 'number', value: 0 };
}

/** The parts of a unit such as "mg/kg"; null for another. */
function shareOf(unit: string): { over: string; under: string } | null {
  const [over, under, ...rest] = unit.split('/');
  return over && under && rest.length === 0 ? { over, under } : null;
}

/** A sum or a difference, in the unit of its left side, or of the right where the left has none. */
export function addAmounts(
  sign: '+' | '-',
  left: PlacedValue,
  right: PlacedValue,
  at: FormulaSpan,
): FormulaValue {
  const like = tellingUnit([left, right]);
  const [a, b] = [inUnitOf(left, like), inUnitOf(right, like)];
  const both = amountOf(left).unit !== undefined && amountOf(right).unit !== undefined;
  const scaled = amountOf(left).scaled ?? amountOf(right).scaled;
  const { difference, ...rest } = like;
  if (sign === '+') return sound(a + b, at, { ...rest, scaled, difference });
  return sound(a - b, at, { ...rest, scaled, difference: both ? true : difference });
}

/** A product: so much for each kilogram times kilograms is so much; an amount times a bare number keeps its unit. */
export function multiplyAmounts(left: PlacedValue, right: PlacedValue, at: FormulaSpan): FormulaValue {
  const [a, b] = [amountOf(left), amountOf(right)];
  if (a.unit === undefined || b.unit === undefined) {
    const { unit, difference } = a.unit === undefined ? b : a;
    return sound(a.value * b.value, at, { unit, difference, scaled: true });
  }
  for (const [share, whole] of [
    [a, b],
    [b, a],
  ] as const) {
    const parts = shareOf(share.unit!);
    const count = parts && converted(whole.value, whole.unit!, parts.under);
    if (parts && count !== null) return sound(share.value * count, at, { unit: parts.over });
  }
  return unitsDiffer(right.at, '', b.unit);
}

/** A quotient: of two amounts of one kind a bare number, of others a share such as "mg/kg". */
export function divideAmounts(left: PlacedValue, right: PlacedValue, at: FormulaSpan): FormulaValue {
  const [a, b] = [amountOf(left), amountOf(right)];
  if (b.value === 0)
    throw new FormulaFault({ code: 'division-by-zero', from: right.at.from, to: right.at.to });
  if (a.unit === undefined) return sound(a.value / b.value, at);
  if (b.unit === undefined)
    return sound(a.value / b.value, at, { unit: a.unit, difference: a.difference, scaled: true });
  const same = converted(b.value, b.unit, a.unit, b.difference);
  return same === null
    ? sound(a.value / b.value, at, { unit: `${a.unit}/${b.unit}` })
    : sound(a.value / same, at);
}
