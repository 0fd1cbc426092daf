/**
 * Rules that hold in `core` alone: what it computes follows from what it is given, so that a test, the browser and the server
 * see the same. Read by oxlint (`.oxlintrc.json`), as a plugin in ESLint's form.
 */

const isMethodOf = (callee, object, name) =>
  callee.type === 'MemberExpression' && callee.object.name === object && callee.property.name === name;

/** Neither `new Date()` nor `Date.now()`. */
const noClock = {
  create(context) {
    const message = 'The core has no clock of its own: take the date as an argument.';
    return {
      NewExpression(node) {
        if (node.callee.name === 'Date' && node.arguments.length === 0) context.report({ node, message });
      },
      CallExpression(node) {
        if (isMethodOf(node.callee, 'Date', 'now')) context.report({ node, message });
      },
    };
  },
};

/** No `Math.random()`. */
const noRandomness = {
  create(context) {
    const message = 'The core has no randomness of its own: take it as an argument.';
    return {
      CallExpression(node) {
        if (isMethodOf(node.callee, 'Math', 'random')) context.report({ node, message });
      },
    };
  },
};

export default {
  meta: { name: 'core' },
  rules: { 'no-clock': noClock, 'no-randomness': noRandomness },
};
