import { convert } from './convert';
import { FormulaFault } from './formulaError';
import { inUnitOf, tellingUnit } from './amounts';
import { number, numberOf, sound, wrongKind, type PlacedValue } from './formulaValue';
import { takes, type FunctionCall, type FormulaFunction } from './functions';

/** The numbers among the arguments; empty ones are passed over, as SUM and AVERAGE of OpenFormula do. */
const givenTo = ({ args }: FunctionCall): PlacedValue[] =>
  args.flatMap((arg) => {
    if (arg.value.kind === 'empty') return [];
    return arg.value.kind === 'number' ? [arg] : wrongKind(arg, 'number');
  });
/** The unit of the first argument. */
const likeFirst = ({ args }: FunctionCall) => (args[0]?.value.kind === 'number' ? args[0].value : undefined);

const nth = ({ args }: FunctionCall, index: number, otherwise = 0): number =>
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
  takes(1, 2, (call) => sound(rounded(nth(call, 0), nth(call, 1), round), call.at, likeFirst(call)));

/** To a multiple of the second argument; 0 leaves 0, as OpenFormula has it. */
const toMultiple = (round: (value: number) => number) =>
  takes(1, 2, (call) => {
    const like = tellingUnit(call.args);
    const [value = 0, step = 1] = call.args
      .map((arg) => inUnitOf(arg, like))
      .map((one, at) => (at === 0 ? one : Math.abs(one)));
    if (step === 0) return sound(0, call.at, like);
    // The quotient's last binary digits are mended first: 0.6 / 0.2 must not be 2.9999999999999996.
    return sound(round(Number((value / step).toPrecision(14))) * step, call.at, like);
  });

function dividing(call: FunctionCall, work: (value: number, by: number) => number) {
  const [value, by] = [nth(call, 0), nth(call, 1)];
  if (by === 0) throw new FormulaFault({ code: 'division-by-zero', ...call.args[1]!.at });
  return sound(work(value, by), call.at);
}

const plain = (work: (value: number) => number) => takes(1, 1, (call) => sound(work(nth(call, 0)), call.at));
const keepingUnit = (work: (value: number) => number) =>
  takes(1, 1, (call) => sound(work(nth(call, 0)), call.at, likeFirst(call)));

const ofAll = (work: (values: number[]) => number) =>
  takes(1, Infinity, (call) => {
    const given = givenTo(call);
    const like = tellingUnit(given);
    return sound(work(given.map((arg) => inUnitOf(arg, like))), call.at, like);
  });

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

function average(call: FunctionCall) {
  const given = givenTo(call);
  if (given.length === 0) throw new FormulaFault({ code: 'division-by-zero', ...call.at });
  const like = tellingUnit(given);
  return sound(sum(given.map((arg) => inUnitOf(arg, like))) / given.length, call.at, like);
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return sorted.length % 2 === 1 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Functions of numbers: OpenFormula 1.3, part 4, sections 6.16 to 6.18. */
export const NUMBER_FUNCTIONS: Record<string, FormulaFunction> = {
  ABS: keepingUnit(Math.abs),
  AVERAGE: takes(1, Infinity, average),
  CEILING: toMultiple(Math.ceil),
  CONVERT: takes(2, 3, convert),
  COUNT: takes(1, Infinity, ({ args }) => number(args.filter(({ value }) => value.kind === 'number').length)),
  COUNTA: takes(1, Infinity, ({ args }) => number(args.filter(({ value }) => value.kind !== 'empty').length)),
  EVEN: plain((value) => up(value / 2) * 2),
  FLOOR: toMultiple(Math.floor),
  INT: keepingUnit(Math.floor),
  MAX: ofAll((values) => values.reduce((most, value) => Math.max(most, value), values[0] ?? 0)),
  MEDIAN: ofAll(median),
  MIN: ofAll((values) => values.reduce((least, value) => Math.min(least, value), values[0] ?? 0)),
  MOD: takes(2, 2, (call) => dividing(call, (value, by) => value - by * Math.floor(value / by))),
  MROUND: toMultiple(awayFromZero),
  // The bare number of an amount, without its unit.
  N: plain((value) => value),
  ODD: plain((value) => (value === 0 ? 1 : up((Math.abs(value) + 1) / 2) * 2 - 1) * (Math.sign(value) || 1)),
  POWER: takes(2, 2, (call) => sound(nth(call, 0) ** nth(call, 1), call.at)),
  PRODUCT: takes(1, Infinity, (call) =>
    sound(
      givenTo(call).reduce((product, arg) => product * numberOf(arg), 1),
      call.at,
    ),
  ),
  QUOTIENT: takes(2, 2, (call) => dividing(call, (value, by) => Math.trunc(value / by))),
  ROUND: rounding(awayFromZero),
  ROUNDDOWN: rounding(Math.trunc),
  ROUNDUP: rounding(up),
  SIGN: plain(Math.sign),
  SQRT: plain(Math.sqrt),
  SUM: ofAll(sum),
  TRUNC: rounding(Math.trunc),
};
