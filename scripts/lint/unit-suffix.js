/**
 * The unit ends a name; two names of different units are never assigned, added or compared as they
 * are, and a number whose name ends in what looks like a unit but is none of ours is refused: a new
 * unit is written down here before it is used. It sees names only: a call or a product in between
 * is taken as a conversion.
 */
const UNITS = [
  ...['Um', 'Mm', 'M', 'Mm2', 'M2', 'M3', 'Ml', 'L', 'Deg', 'Px'],
  ...[
    'Ms',
    'S',
    'S2',
    'Seconds',
    'Second',
    'Min',
    'Minutes',
    'Minute',
    'Hours',
    'Hour',
    'Days',
    'Day',
    'Months',
    'Years',
  ],
  ...['C', 'F', 'K', 'Pa', 'MPaS', 'PaS', 'KPa', 'Bar', 'Psi', 'Cfm', 'Inch'],
  ...['G', 'Kg', 'Grams', 'Mol', 'N', 'J', 'W', 'Percent', 'Fraction', 'Turns', 'TurnsOut', 'Bits'],
].sort((a, b) => b.length - a.length);

/** Two spellings of one unit; a moment and a length of time on the same scale may meet. */
const SAME = {
  Minute: 'Minutes',
  TurnsOut: 'Turns',
  Hour: 'Hours',
  Day: 'Days',
  S: 'Seconds',
  Second: 'Seconds',
  Grams: 'G',
  KPerMin: 'CPerMin',
};

/** What is counted by the piece: so much per coat, pass or quarter. */
const PIECES = [
  'Coat',
  'Pass',
  'Part',
  'Film',
  'Span',
  'Drop',
  'Step',
  'Unit',
  'Doubling',
  'ReadyL',
  'Solids',
  'LnFilm',
  'TenPercentFilm',
  'Panel',
];

/** Letters that are no unit: the name of a constant in a law, a knob, or a coordinate. */
const PLAIN = [
  'A',
  'B',
  'E',
  'D',
  'P',
  'X',
  'Y',
  'Z',
  'U',
  'V',
  'T',
  'Q10',
  'Id',
  'No',
  'Of',
  'At',
  'In',
  'On',
  'To',
  'Up',
  'By',
  'Sd',
  'Ln',
  'So',
  'Is',
];

const U = `(?:${UNITS.join('|')})`;
const ENDING = new RegExp(`(?<=[a-z0-9])(${U}(?:Per${U}{1,2})*|Per${U})$`);
const PER = new RegExp(`[a-z0-9]Per(?!${PIECES.join('$|')}$)[A-Z]`);
const SHORT = /(?<=[a-z0-9])([A-Z][a-z]?\d*|[A-Z]{1,3}\d*)$/;
const SPELT = { KPA: 'KPa' };

/** SOUND_M_PER_S is read as soundMPerS is. */
const camel = (name) =>
  /^[A-Z][A-Z0-9_]*$/.test(name) && name.includes('_')
    ? name
        .split('_')
        .map((word, i) =>
          i === 0 ? word.toLowerCase() : (SPELT[word] ?? word[0] + word.slice(1).toLowerCase()),
        )
        .join('')
    : // `minutesPerSecond` begins with its unit; a single letter is a letter.
      name.length > 2 && !/^[A-Z0-9]+$/.test(name)
      ? `a${name[0].toUpperCase()}${name.slice(1)}`
      : name;

export function unitOf(name) {
  const ending = ENDING.exec(camel(name))?.[1]?.replace(/PerSeconds?$/, 'PerS');
  return ending && (SAME[ending] ?? ending);
}

/** Ends as a unit would, and is none that is known. */
export function looksLikeUnit(name) {
  const asCamel = camel(name);
  if (unitOf(name)) return false;
  if (PER.test(asCamel)) return true;
  const short = SHORT.exec(asCamel)?.[1];
  return short !== undefined && !PLAIN.includes(short);
}

function nameOf(node) {
  if (!node) return undefined;
  if (node.type === 'Identifier') return node.name;
  if (node.type === 'MemberExpression' && !node.computed) return nameOf(node.property);
  if (node.type === 'TSNonNullExpression' || node.type === 'ChainExpression')
    return nameOf(node.expression);
  return undefined;
}

const CHECKED = ['+', '-', '<', '<=', '>', '>=', '===', '!=='];
const isNumber = (annotation) => annotation?.typeAnnotation?.type === 'TSNumberKeyword';
const isFigure = (node) =>
  (node?.type === 'Literal' && typeof node.value === 'number') ||
  (node?.type === 'BinaryExpression' && ['*', '/', '**'].includes(node.operator));

export const unitSuffix = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      differ: '{{left}} and {{right}} have different units: convert one of them.',
      unknown:
        '{{name}} ends like a unit that is not known: use one of ours, or add it to scripts/lint/unit-suffix.js.',
    },
  },
  create(context) {
    const check = (node, left, right) => {
      const [a, b] = [nameOf(left), nameOf(right)];
      if (!a || !b) return;
      const [ua, ub] = [unitOf(a), unitOf(b)];
      if (ua && ub && ua !== ub)
        context.report({ node, messageId: 'differ', data: { left: a, right: b } });
    };
    const known = (node, name) => {
      if (looksLikeUnit(name)) context.report({ node, messageId: 'unknown', data: { name } });
    };
    return {
      Property: (node) => !node.computed && !node.shorthand && check(node, node.key, node.value),
      VariableDeclarator: (node) => {
        check(node, node.id, node.init);
        if (
          node.id.type === 'Identifier' &&
          (isNumber(node.id.typeAnnotation) || isFigure(node.init))
        )
          known(node, node.id.name);
      },
      AssignmentExpression: (node) => check(node, node.left, node.right),
      BinaryExpression: (node) =>
        CHECKED.includes(node.operator) && check(node, node.left, node.right),
      TSPropertySignature: (node) =>
        isNumber(node.typeAnnotation) &&
        node.key.type === 'Identifier' &&
        known(node, node.key.name),
      ':function > Identifier.params': (node) =>
        isNumber(node.typeAnnotation) && known(node, node.name),
    };
  },
};
