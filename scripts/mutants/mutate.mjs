// Where a file can be broken by one small change, each as a piece of text and what stands there instead.
import ts from 'typescript'

const FLIPPED = new Map([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
])

const SWAPPED = {
  min: 'max',
  max: 'min',
  some: 'every',
  every: 'some',
  floor: 'ceil',
  ceil: 'floor',
}

/** Text concatenation is no arithmetic: a minus there would be no change that a test could be asked to see. */
const isText = node =>
  ts.isStringLiteralLike(node) || ts.isTemplateExpression(node) || node.getText().includes('`')

const isType = node =>
  ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)

const isInType = node => node.parent !== undefined && ts.isLiteralTypeNode(node.parent)

/** Each looks at a node and adds what could stand there instead. */
const WAYS = [
  function operators(node, add) {
    if (!ts.isBinaryExpression(node)) return
    const flipped = FLIPPED.get(node.operatorToken.kind)
    if (flipped && !isText(node.left) && !isText(node.right))
      add(node.operatorToken, flipped, 'operator')
  },
  function numbers(node, add) {
    if (ts.isNumericLiteral(node) && !isInType(node)) add(node, `(${node.text} + 1)`, 'number')
  },
  function conditions(node, add) {
    const asked = ts.isConditionalExpression(node)
      ? node.condition
      : ts.isIfStatement(node)
        ? node.expression
        : undefined
    if (asked) add(asked, `!(${asked.getText()})`, 'condition')
  },
  function booleans(node, add) {
    if (isInType(node)) return
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false', 'boolean')
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true', 'boolean')
  },
  function calls(node, add) {
    if (!ts.isCallExpression(node) || !ts.isPropertyAccessExpression(node.expression)) return
    const { name } = node.expression
    if (SWAPPED[name.text]) add(name, SWAPPED[name.text], 'call')
  },
  function statements(node, add) {
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression))
      add(node, ';', 'left out')
  },
]

/**
 * Every single change of a source: `{ start, end, text, kind, line }`.
 * Comparisons and their limits, arithmetic, conditions, numbers, calls, and words that are true or false.
 */
export function mutantsOf(source, name = 'file.ts') {
  const file = ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true)
  const found = []
  const add = (node, text, kind) => {
    const [start, end] = [node.getStart(file), node.getEnd()]
    const { line } = file.getLineAndCharacterOfPosition(start)
    found.push({ start, end, text, kind, line: line + 1, was: source.slice(start, end) })
  }
  const visit = node => {
    if (isType(node) || ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return
    for (const breaks of WAYS) breaks(node, add)
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

/** The source with one change made. */
export function mutated(source, { start, end, text }) {
  return source.slice(0, start) + text + source.slice(end)
}
