/** Rules of this house, beside those that the linter brings. */
import { unitSuffix } from './unit-suffix.js';

const WIDTH = 100;
/** As wide as the formatter writes; it cannot break a sentence: a line with one is let be. */
const lineWidth = {
  meta: {
    type: 'layout',
    schema: [],
    messages: { wide: `{{length}} characters in a line: ${WIDTH} at most.` },
  },
  create(context) {
    const withText = new Set();
    const letBe = ({ loc: { start, end } }) => {
      for (let line = start.line; line <= end.line; line += 1) withText.add(line);
    };
    return {
      Literal: (node) => typeof node.value !== 'number' && letBe(node),
      TemplateLiteral: letBe,
      'Program:exit': (node) =>
        context.sourceCode.lines.forEach((text, i) => {
          if (text.length > WIDTH && !withText.has(i + 1))
            context.report({
              node,
              loc: {
                start: { line: i + 1, column: WIDTH },
                end: { line: i + 1, column: text.length },
              },
              messageId: 'wide',
              data: { length: String(text.length) },
            });
        }),
    };
  },
};

const isFunction = (node) =>
  node?.type === 'FunctionDeclaration' ||
  node?.type === 'FunctionExpression' ||
  node?.type === 'ArrowFunctionExpression';

/** The public face: what each exported function is for, in its own line. */
const publicSaid = {
  meta: {
    type: 'suggestion',
    schema: [],
    messages: { unsaid: 'Exported and says nothing of itself: what is it for, in which unit?' },
  },
  create(context) {
    const check = (node) => {
      const { declaration } = node;
      const isPublic =
        isFunction(declaration) || declaration?.declarations?.some(({ init }) => isFunction(init));
      if (!isPublic) return;
      const [said] = context.sourceCode.getCommentsBefore(node).slice(-1);
      if (said?.type !== 'Block' || !said.value.startsWith('*'))
        context.report({ node, messageId: 'unsaid' });
    };
    return { ExportNamedDeclaration: check, ExportDefaultDeclaration: check };
  },
};

export default {
  meta: { name: 'ours' },
  rules: { 'unit-suffix': unitSuffix, 'line-width': lineWidth, 'public-said': publicSaid },
};
