import { numbers } from '../bench/numbers';

/** A JSON Schema as `z.toJSONSchema` writes it, as far as values are made from it. */
export interface Shape {
  type?: string;
  const?: unknown;
  enum?: unknown[];
  anyOf?: Shape[];
  oneOf?: Shape[];
  allOf?: Shape[];
  $ref?: string;
  $defs?: Record<string, Shape>;
  properties?: Record<string, Shape>;
  required?: string[];
  additionalProperties?: Shape | boolean;
  items?: Shape | boolean;
  minItems?: number;
  maxItems?: number;
  minLength?: number;
  maxLength?: number;
  minimum?: number;
  maximum?: number;
  format?: string;
  pattern?: string;
}

/** Words that have hurt a server before, here or elsewhere. */
const WORDS = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udc00y',
  '\u202e',
  '\ufeff',
  '__proto__',
  'constructor',
  'toString',
  'hasOwnProperty',
  '%',
  '%00',
  "'; --",
  '\\',
  '../../..',
  '*',
  '"',
  '{',
  '{{{{{{{{',
  '[[[[[[[[',
  '=1/0',
  'NaN',
  '-0',
  '1e999',
  'null',
  'a'.repeat(300),
  '😀'.repeat(60),
  'é'.repeat(5000),
  'weight '.repeat(4000),
  '2026-02-30',
  '0000-00-00',
  '9999-12-31',
  '-2026-01-01',
  'en-GB-x',
  'x-',
  'mailto:',
  'https://',
];
const NUMBERS = [0, -1, 1, 1.5, 2 ** 31, -(2 ** 31) - 1, 2 ** 53, 1e308, -1e308, 5e-324, 2 ** 53 + 2];
const OTHERS = [
  null,
  true,
  false,
  [],
  {},
  [[]],
  [null],
  { constructor: 1 },
  JSON.parse('{"__proto__":{"a":1}}'),
];

const MOST_KNOWN = 60;
/** Whether a value that an answer told has no key that a shape does not know. */
const isOf = (value: unknown, { type, properties = {} }: Shape): boolean =>
  type === undefined
    ? true
    : type === 'array'
      ? Array.isArray(value)
      : type === 'object' &&
        Boolean(value) &&
        !Array.isArray(value) &&
        Object.keys(value as object).every((key) => key in properties);
const singular = (key: string) => key.replace(/ies$/, 'y').replace(/s$/, '');

/** What answers told: ids by what they are of, the version each was last seen in, whole values by where they stood. */
export class Known {
  readonly ids = new Map<string, string[]>();
  readonly versions = new Map<string, number>();
  readonly values = new Map<string, unknown[]>();

  /** Takes in an answer; `of` is what a bare id in it is of. */
  learn(answer: unknown, of: string): void {
    if (Array.isArray(answer)) return answer.slice(0, 60).forEach((item) => this.learn(item, of));
    if (!answer || typeof answer !== 'object') return;
    const { id, version, revision } = answer as Record<string, unknown>;
    if (typeof id === 'string') {
      this.keep(this.ids, of, id);
      const at = version ?? revision;
      if (typeof at === 'number') this.versions.set(id, at);
    }
    for (const [key, value] of Object.entries(answer)) {
      if (['content', 'document', 'passage', 'grants', 'record', 'terms', 'review'].includes(key))
        this.keep(this.values, key, value);
      if (typeof value === 'string' && ['entry', 'collection', 'member', 'draft', 'token'].includes(key))
        this.keep(this.ids, key, value);
      this.learn(value, Array.isArray(value) ? singular(key) : of);
    }
  }

  private keep<Value>(pools: Map<string, Value[]>, key: string, value: Value): void {
    const pool = pools.get(key) ?? [];
    pools.set(key, [...pool.filter((one) => one !== value).slice(1 - MOST_KNOWN), value]);
  }
}

/** Values at random: of a shape, or spoilt. The same seed gives the same values. */
export class Values {
  private readonly next: () => number;
  /** What the server is known to hold, so that a request gets past the door. */
  readonly known = new Known();

  constructor(seed: number) {
    this.next = numbers(seed);
  }

  below(count: number): number {
    return Math.floor(this.next() * count);
  }

  one<T>(of: readonly T[]): T {
    return of[this.below(of.length)]!;
  }

  chance(share: number): boolean {
    return this.next() < share;
  }

  /** A value of a shape, seldom longer than a few items. `defs` are what the whole shape names, `key` where it goes. */
  of(shape: Shape, defs: Record<string, Shape> = shape.$defs ?? {}, depth = 0, key = ''): unknown {
    const named = shape.$ref && defs[shape.$ref.split('/').at(-1)!];
    if (named) return depth < 12 ? this.of(named, defs, depth + 1, key) : null;
    const seen = this.known.values.get(key);
    if (seen && this.chance(0.7)) {
      const value = this.one(seen);
      if (isOf(value, shape)) return value;
    }
    const choices = shape.anyOf ?? shape.oneOf ?? shape.enum?.map((value) => ({ const: value }));
    if (choices) return this.of(this.one<Shape>(choices), defs, depth + 1, key);
    return this.single(shape, defs, depth, key);
  }

  private single(shape: Shape, defs: Record<string, Shape>, depth: number, key: string): unknown {
    if (shape.allOf)
      return Object.assign({}, ...shape.allOf.map((part) => this.of(part, defs, depth + 1))) as unknown;
    if ('const' in shape) return shape.const;
    if (shape.type === 'object') return this.object(shape, defs, depth);
    if (shape.type === 'array') return this.array(shape, defs, depth, key);
    return this.plain(shape, key);
  }

  private plain(shape: Shape, key: string): unknown {
    switch (shape.type) {
      case 'string':
        return this.text(shape, key);
      case 'integer':
      case 'number':
        return key === 'revision' && this.chance(0.8) ? 1 + this.below(3) : this.number(shape);
      case 'boolean':
        return this.chance(0.5);
      case 'null':
        return null;
      default:
        return this.anything();
    }
  }

  private array(shape: Shape, defs: Record<string, Shape>, depth: number, key: string): unknown[] {
    const most = depth > 6 ? 0 : Math.min(shape.maxItems ?? 3, this.chance(0.02) ? 60 : 3);
    const count = Math.max(shape.minItems ?? 0, this.below(most + 1));
    const items = typeof shape.items === 'object' ? shape.items : {};
    return Array.from({ length: Math.min(count, 60) }, () => this.of(items, defs, depth + 1, key));
  }

  private object(shape: Shape, defs: Record<string, Shape>, depth: number): Record<string, unknown> {
    const made: Record<string, unknown> = {};
    for (const [key, inner] of Object.entries(shape.properties ?? {})) {
      if (!shape.required?.includes(key) && (depth > 6 || this.chance(0.4))) continue;
      made[key] = this.of(inner, defs, depth + 1, key);
    }
    if (typeof shape.additionalProperties === 'object' && depth < 7)
      for (let at = this.below(3); at > 0; at -= 1)
        made[this.chance(0.5) ? this.id() : this.one(['__proto__', 'constructor', 'toString', '*'])] =
          this.of(shape.additionalProperties, defs, depth + 1);
    return made;
  }

  private text(shape: Shape, key: string): string {
    if (shape.format === 'date' || shape.pattern?.includes('\\d{4}')) return this.day();
    if (shape.format === 'uuid') return `6f1c2a52-7d0e-4c55-9d83-0a4b8f8b1a0${this.below(9)}`;
    if (shape.format === 'email' || key === 'email') return `guest${this.below(9999)}@hollin.example`;
    const words = this.known.ids.has(singular(key))
      ? this.id(key)
      : this.one(['words', 'en-GB', 'cy', 'Weight today', 'keep', 'hedgehog', `made ${this.below(99_999)}`]);
    const long = words.padEnd(shape.minLength ?? 0, 'x');
    return shape.maxLength === undefined ? long : long.slice(0, shape.maxLength);
  }

  private day(): string {
    const two = (value: number) => String(value).padStart(2, '0');
    const year = this.chance(0.5) ? 2026 : 1900 + this.below(301);
    return `${year}-${two(1 + this.below(12))}-${two(1 + this.below(28))}`;
  }

  private number({ type, minimum = 0, maximum = 1000 }: Shape): number {
    const value = minimum + this.next() * (Math.min(maximum, minimum + 1000) - minimum);
    return type === 'integer' ? Math.floor(value) : value;
  }

  /** An id the server holds, most times; of what goes by this key, most times. */
  id(key = ''): string {
    const { ids } = this.known;
    const own = ids.get(singular(key));
    const of = own && this.chance(0.95) ? own : [...ids.values()].flat();
    return of.length > 0 && this.chance(0.95) ? this.one(of) : this.one(WORDS);
  }

  /** Anything but what was asked for. */
  anything(): unknown {
    const kind = this.below(10);
    if (kind < 5) return this.one(WORDS);
    if (kind < 7) return this.one(NUMBERS);
    if (kind < 9) return this.one(OTHERS);
    let deep: unknown = 'deep';
    for (let at = this.one([5, 60, 3000]); at > 0; at -= 1) deep = this.chance(0.5) ? [deep] : { deep };
    return deep;
  }

  /** The same value with one place in it spoilt: another value, a key gone, a key more, an item twice. */
  spoilt(value: unknown): unknown {
    if (Array.isArray(value) && value.length > 0 && this.chance(0.8)) {
      const at = this.below(value.length);
      if (this.chance(0.15)) return [...(value as unknown[]), value[at] as unknown];
      return value.map((item, index) => (index === at ? this.spoilt(item) : (item as unknown)));
    }
    if (value && typeof value === 'object' && !Array.isArray(value) && this.chance(0.9)) {
      const keys = Object.keys(value);
      if (keys.length === 0 || this.chance(0.05)) return { ...value, [this.one(WORDS)]: this.anything() };
      const key = this.one(keys);
      const { [key]: inner, ...rest } = value as Record<string, unknown>;
      return this.chance(0.1) ? rest : { ...rest, [key]: this.spoilt(inner) };
    }
    return this.anything();
  }
}
