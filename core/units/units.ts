/** What a unit measures, how many of the row's first unit one of it is, and where it begins to count. */
interface Unit {
  dimension: string;
  factor: number;
  /** For temperatures: how much is added to a value in this unit before it is multiplied. */
  offset: number;
}

/**
 * Units by what they measure, as UCUM writes them (the standard that records of care use) and as people do; each with how many
 * of its row's first unit it is. Source of the factors: UCUM 2.1, tables 2 to 12.
 */
const ROWS: Record<string, Record<string, number>> = {
  mass: {
    'g gram grams gramme grammes': 1,
    'kg kilo kilos kilogram kilograms': 1000,
    'mg milligram milligrams': 1e-3,
    'ug µg μg mcg microgram micrograms': 1e-6,
    'ng nanogram nanograms': 1e-9,
    't tonne tonnes': 1e6,
    '[lb_av] lb lbs lbm pound pounds': 453.59237,
    '[oz_av] oz ozm ounce ounces': 28.349523125,
    '[stone_av] st stone': 6350.29318,
  },
  length: {
    'm metre metres meter meters': 1,
    'km kilometre kilometres': 1000,
    'cm centimetre centimetres': 0.01,
    'mm millimetre millimetres': 0.001,
    '[in_i] in inch inches': 0.0254,
    '[ft_i] ft foot feet': 0.3048,
    '[mi_i] mi mile miles': 1609.344,
  },
  volume: {
    'L l litre litres liter liters': 1,
    'dL dl decilitre decilitres': 0.1,
    'cL cl centilitre centilitres': 0.01,
    'mL ml cc millilitre millilitres': 1e-3,
    'uL ul µL µl microlitre microlitres': 1e-6,
  },
  time: {
    'd day days': 1,
    'h hr hrs hour hours': 1 / 24,
    'min mn mins minute minutes': 1 / 1440,
    's sec secs second seconds': 1 / 86_400,
    'wk week weeks': 7,
  },
  frequency: {
    '/min a minute per minute bpm': 1,
    '/h an hour per hour': 1 / 60,
    '/d a day per day': 1 / 1440,
  },
  pressure: { 'mm[Hg] mmHg': 1, 'kPa kilopascal': 7.50061683, 'cm[H2O] cmH2O': 0.73555924 },
  share: { '%': 1, '‰': 0.1 },
  amount: { mol: 1, mmol: 1e-3, 'umol µmol': 1e-6 },
  energy: { 'J joule joules': 1, kJ: 1000, cal: 4.184, kcal: 4184 },
};
const TEMPERATURES: [names: string, factor: number, offset: number][] = [
  ['Cel °C C', 1, 0],
  ['[degF] °F F', 5 / 9, -32],
  ['K', 1, -273.15],
];
/** Names of several words must be told apart from several names. */
const PHRASES = /(?:an? (?:minute|hour|day)|per (?:minute|hour|day))|\S+/g;

const UNITS = new Map<string, Unit>();
for (const [dimension, row] of Object.entries(ROWS))
  for (const [names, factor] of Object.entries(row))
    for (const name of names.match(PHRASES)!) UNITS.set(name, { dimension, factor, offset: 0 });
for (const [names, factor, offset] of TEMPERATURES)
  for (const name of names.split(' ')) UNITS.set(name, { dimension: 'temperature', factor, offset });

/** A unit by any of its names; of one with words for one and for many ("gram|grams") by either. Null for one that is not known. */
function unitOf(written: string): Unit | null {
  for (const name of written.split('|')) {
    const found = UNITS.get(name.trim());
    if (found) return found;
  }
  const [over, under, ...rest] = written.split('/').map((part) => part.trim());
  if (!over || !under || rest.length > 0) return null;
  const [a, b] = [UNITS.get(over), UNITS.get(under)];
  if (!a || !b || a.offset !== 0 || b.offset !== 0) return null;
  return { dimension: `${a.dimension}/${b.dimension}`, factor: a.factor / b.factor, offset: 0 };
}

/** Whether it is known what a unit measures: of UCUM's units those of mass, length, volume, time, temperature, pressure and the like. */
export const isKnownUnit = (unit: string): boolean => unitOf(unit) !== null;

/** Whether two units are the same one, written in two ways. */
export function isSameUnit(one: string, other: string): boolean {
  if (one === other) return true;
  const [a, b] = [unitOf(one), unitOf(other)];
  return (
    a !== null && b !== null && a.dimension === b.dimension && a.factor === b.factor && a.offset === b.offset
  );
}

/**
 * The same amount in another unit. A difference of two amounts is converted without the point where a unit begins to count:
 * 1 °C of difference is 1.8 °F. Null where the two do not measure the same thing, or one of them is not known.
 */
export function converted(value: number, from: string, to: string, isDifference = false): number | null {
  if (from === to) return value;
  const [a, b] = [unitOf(from), unitOf(to)];
  if (!a || !b || a.dimension !== b.dimension) return null;
  if (isDifference) return (value * a.factor) / b.factor;
  return ((value + a.offset) * a.factor) / b.factor - b.offset;
}
