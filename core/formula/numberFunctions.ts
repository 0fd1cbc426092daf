import { convert } from './convert';
import { FormulaFault } from './formulaError';
import { number, numberOf, sound, wrongKind } from './formulaValue';
import { takes, type Call, type FormulaFunction } from './functions';

/** The numbers among the arguments; empty ones are passed over, as SUM and AVERAGE of OpenFormula do. */
const numbersOf = ({ args }: Call): number[] =>
  args.flatMap((arg) => {
    if (arg.value.kind === 'empty') return [];
    return arg.value.kind === 'number' ? [arg.value.value] : wrongKind(arg, 'number');
  });

const nth = ({ args }: Call, index: number, otherwise = 0): number =>
  index < args.length ? numberOf(args[index]!) : otherwise;

/** Rounds by moving the point in the number's decimal writing, so that 1.005 to two digits is 1.01. */
function rounded(value: number, digits: number, round: (value: number) => number): number {
  const places = Math.max(-300, Math.min(300, Math.trunc(digits)));
  const moved = (from: number, by: number) => {
    const [mantissa = '0', exponent = '0'] = String(from).split('e');
    return Number(`${mantissa}e${Number(exponent) + by}`);
  };
  return moved(round(moved(value, places)), -places);
}

const awayFromZero = (value: number) => Math.sign(value) * Math.round(Math.abs(value));
const up = (value: number) => Math.sign(value) * Math.ceil(Math.abs(value));

const rounding = (round: (value: number) => number) =>
  takes(1, 2, (call) => sound(rounded(nth(call, 0), nth(call, 1), round), call.at));

/** To a multiple of the second argument; 0 leaves 0, as OpenFormula has it. */
const toMultiple = (round: (value: number) => number) =>
  takes(1, 2, (call) => {
    const [value, step] = [nth(call, 0), Math.abs(nth(call, 1, 1))];
    if (step === 0) return number(0);
    // The quotient's last binary digits are mended first: 0.6 / 0.2 must not be 2.9999999999999996.
    return sound(round(Number((value / step).toPrecision(14))) * step, call.at);
  });

function dividing(call: Call, work: (value: number, by: number) => number) {
  const [value, by] = [nth(call, 0), nth(call, 1)];
  if (by === 0) throw new FormulaFault({ code: 'division-by-zero', ...call.args[1]!.at });
  return sound(work(value, by), call.at);
}

const plain = (work: (value: number) => number) => takes(1, 1, (call) => sound(work(nth(call, 0)), call.at));

const ofAll = (work: (values: number[]) => number) =>
  takes(1, Infinity, (call) => sound(work(numbersOf(call)), call.at));

function average(call: Call) {
  const values = numbersOf(call);
  if (values.length === 0) throw new FormulaFault({ code: 'division-by-zero', ...call.at });
  return sound(values.reduce((sum, value) => sum + value, 0) / values.length, call.at);
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return sorted.length % 2 === 1 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Functions of numbers: OpenFormula 1.3, part 4, sections 6.16 to 6.18. */
export const NUMBER_FUNCTIONS: Record<string, FormulaFunction> = {
  ABS: plain(Math.abs),
  AVERAGE: takes(1, Infinity, average),
  CEILING: toMultiple(Math.ceil),
  CONVERT: takes(2, 3, convert),
  COUNT: takes(1, Infinity, ({ args }) => number(args.filter(({ value }) => value.kind === 'number').length)),
  COUNTA: takes(1, Infinity, ({ args }) => number(args.filter(({ value }) => value.kind !== 'empty').length)),
  EVEN: plain((value) => up(value / 2) * 2),
  FLOOR: toMultiple(Math.floor),
  INT: plain(Math.floor),
  MAX: ofAll((values) => values.reduce((most, value) => Math.max(most, value), values[0] ?? 0)),
  MEDIAN: ofAll(median),
  MIN: ofAll((values) => values.reduce((least, value) => Math.min(least, value), values[0] ?? 0)),
  MOD: takes(2, 2, (call) => dividing(call, (value, by) => value - by * Math.floor(value / by))),
  MROUND: toMultiple(awayFromZero),
  ODD: plain((value) => (value === 0 ? 1 : up((Math.abs(value) + 1) / 2) * 2 - 1) * (Math.sign(value) || 1)),
  POWER: takes(2, 2, (call) => sound(nth(call, 0) ** nth(call, 1), call.at)),
  PRODUCT: ofAll((values) => values.reduce((product, value) => product * value, 1)),
  QUOTIENT: takes(2, 2, (call) => dividing(call, (value, by) => Math.trunc(value / by))),
  ROUND: rounding(awayFromZero),
  ROUNDDOWN: rounding(Math.trunc),
  ROUNDUP: rounding(up),
  SIGN: plain(Math.sign),
  SQRT: plain(Math.sqrt),
  SUM: ofAll((values) => values.reduce((sum, value) => sum + value, 0)),
  TRUNC: rounding(Math.trunc),
};
