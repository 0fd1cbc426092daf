import { FormulaFault, type FormulaSpan } from './formulaError';
import { tokensOf, type Token } from './tokens';

/** A formula as a tree; every node knows where it is written. */
export type Expression = FormulaSpan &
  (
    | { type: 'number'; value: number }
    | { type: 'text'; value: string }
    | { type: 'name'; name: string }
    | { type: 'call'; name: string; at: FormulaSpan; args: Expression[] }
    | { type: 'sign'; sign: string; left: Expression; right: Expression }
    | { type: 'minus' | 'percent'; of: Expression }
  );

/** How tightly signs bind, as OpenFormula has it (section 5.5): the higher, the tighter; ^ to the left. */
const BINDING: Record<string, number> = {
  '=': 1,
  '<>': 1,
  '<': 1,
  '<=': 1,
  '>': 1,
  '>=': 1,
  '&': 2,
  '+': 3,
  '-': 3,
  '*': 4,
  '/': 4,
  '^': 5,
};
const DEEPEST = 60;

/** Reads a formula by the binding power of its signs (Pratt, "Top down operator precedence", 1973). */
class Reader {
  private at = 0;
  private depth = 0;

  constructor(private readonly tokens: readonly Token[]) {}

  whole(): Expression {
    const expression = this.expression(0);
    if (this.token.type !== 'end') this.refuse('an operator or the end');
    return expression;
  }

  private get token(): Token {
    return this.tokens[this.at]!;
  }

  private isSign(...signs: string[]): boolean {
    return this.token.type === 'sign' && signs.includes(this.token.value);
  }

  private refuse(wanted: string): never {
    const { from, to, type } = this.token;
    const found = type === 'end' ? '' : String((this.token as { value: string | number }).value);
    throw new FormulaFault({ code: 'syntax', wanted, found, from, to });
  }

  private expression(least: number): Expression {
    this.depth += 1;
    if (this.depth > DEEPEST)
      throw new FormulaFault({ code: 'too-deep', from: this.token.from, to: this.token.to });
    let left = this.operand();
    for (;;) {
      const { token } = this;
      const binding = token.type === 'sign' ? (BINDING[token.value] ?? 0) : 0;
      if (token.type !== 'sign' || binding <= least) break;
      this.at += 1;
      const right = this.expression(binding);
      left = { type: 'sign', sign: token.value, left, right, from: left.from, to: right.to };
    }
    this.depth -= 1;
    return left;
  }

  private operand(): Expression {
    const { token } = this;
    if (this.isSign('-', '+')) {
      this.at += 1;
      // Binds tighter than ^, as OpenFormula has it: -2^2 is 4.
      this.depth += 1;
      if (this.depth > DEEPEST) throw new FormulaFault({ code: 'too-deep', from: token.from, to: token.to });
      const of = this.operand();
      this.depth -= 1;
      return (token as { value: string }).value === '+'
        ? of
        : { type: 'minus', of, from: token.from, to: of.to };
    }
    let operand = this.simple();
    while (this.isSign('%')) {
      operand = { type: 'percent', of: operand, from: operand.from, to: this.token.to };
      this.at += 1;
    }
    return operand;
  }

  private simple(): Expression {
    const { token } = this;
    const { from, to } = token;
    if (token.type === 'number') {
      this.at += 1;
      return { type: 'number', value: token.value, from, to };
    }
    if (token.type === 'text') {
      this.at += 1;
      return { type: 'text', value: token.value, from, to };
    }
    if (token.type === 'name') {
      this.at += 1;
      if (!token.quoted && this.isSign('(')) return this.call(token.value, { from, to });
      return { type: 'name', name: token.value, from, to };
    }
    if (!this.isSign('(')) this.refuse('a value');
    this.at += 1;
    const inner = this.expression(0);
    if (!this.isSign(')')) this.refuse('“)”');
    this.at += 1;
    return inner;
  }

  private call(name: string, at: FormulaSpan): Expression {
    this.at += 1;
    const args: Expression[] = [];
    if (!this.isSign(')')) {
      args.push(this.expression(0));
      while (this.isSign(';', ',')) {
        this.at += 1;
        args.push(this.expression(0));
      }
    }
    if (!this.isSign(')')) this.refuse('“)” or “;”');
    const { to } = this.token;
    this.at += 1;
    return { type: 'call', name: name.toUpperCase(), at, args, from: at.from, to };
  }
}

/** The tree of a formula. Throws a FormulaFault at the first character that does not fit. */
export function parseFormula(source: string): Expression {
  return new Reader(tokensOf(source)).whole();
}

/** The names of fields that a formula uses, each with its places. */
export function namesIn(expression: Expression): { name: string; from: number; to: number }[] {
  switch (expression.type) {
    case 'name':
      return [{ name: expression.name, from: expression.from, to: expression.to }];
    case 'call':
      return expression.args.flatMap(namesIn);
    case 'sign':
      return [...namesIn(expression.left), ...namesIn(expression.right)];
    case 'minus':
    case 'percent':
      return namesIn(expression.of);
    default:
      return [];
  }
}
