/**
 * The unit ends a name; two names of different units are never assigned, added or compared as they are.
 * It sees names only: a call or a product in between is taken as a conversion.
 */
const SUFFIXES = [
  'MlPerMin',
  'LPerMin',
  'Mm2PerS',
  'CPerMin',
  'GPerMl',
  'GPerKg',
  'MPerS',
  'GPerL',
  'MPaS',
  'TurnsOut',
  'KPa',
  'Pa',
  'Bar',
  'Psi',
  'Mm',
  'Um',
  'M2',
  'Ml',
  'Px',
  'Percent',
  'Fraction',
  'Seconds',
  'Minutes',
  'Minute',
  'Hours',
  'Ms',
  'Grams',
  'Deg',
  'C',
  'F',
  'K',
].sort((a, b) => b.length - a.length);

/** A moment and a length of time on the same scale may meet. */
const SAME = { Minute: 'Minutes', TurnsOut: 'Turns' };

export function unitOf(name) {
  const suffix = SUFFIXES.find((s) => name.endsWith(s) && name.length > s.length && /[a-z0-9]$/.test(name.slice(0, -s.length)));
  return suffix && (SAME[suffix] ?? suffix);
}

function nameOf(node) {
  if (!node) return undefined;
  if (node.type === 'Identifier') return node.name;
  if (node.type === 'MemberExpression' && !node.computed) return nameOf(node.property);
  if (node.type === 'TSNonNullExpression' || node.type === 'ChainExpression') return nameOf(node.expression);
  return undefined;
}

const CHECKED = ['+', '-', '<', '<=', '>', '>=', '===', '!=='];

export const unitSuffix = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { differ: '{{left}} and {{right}} have different units: convert one of them.' },
  },
  create(context) {
    const check = (node, left, right) => {
      const [a, b] = [nameOf(left), nameOf(right)];
      if (!a || !b) return;
      const [ua, ub] = [unitOf(a), unitOf(b)];
      if (ua && ub && ua !== ub) context.report({ node, messageId: 'differ', data: { left: a, right: b } });
    };
    return {
      Property: (node) => !node.computed && !node.shorthand && check(node, node.key, node.value),
      VariableDeclarator: (node) => check(node, node.id, node.init),
      AssignmentExpression: (node) => check(node, node.left, node.right),
      BinaryExpression: (node) => CHECKED.includes(node.operator) && check(node, node.left, node.right),
    };
  },
};
