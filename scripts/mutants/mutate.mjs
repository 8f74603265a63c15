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
    if (ts.isBinaryExpression(node)) {
      const flipped = FLIPPED.get(node.operatorToken.kind)
      if (flipped && !isText(node.left) && !isText(node.right))
        add(node.operatorToken, flipped, 'operator')
    }
    if (ts.isNumericLiteral(node) && !ts.isLiteralTypeNode(node.parent))
      add(node, `(${node.text} + 1)`, 'number')
    if (ts.isConditionalExpression(node))
      add(node.condition, `!(${node.condition.getText()})`, 'condition')
    if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText()})`, 'condition')
    if (node.kind === ts.SyntaxKind.TrueKeyword && !ts.isLiteralTypeNode(node.parent))
      add(node, 'false', 'boolean')
    if (node.kind === ts.SyntaxKind.FalseKeyword && !ts.isLiteralTypeNode(node.parent))
      add(node, 'true', 'boolean')
    if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression)) {
      const { name: called } = node.expression
      const other = SWAPPED[called.text]
      if (other) add(called, other, 'call')
    }
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression))
      add(node, ';', 'left out')
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

/** The source with one change made. */
export function mutated(source, { start, end, text }) {
  return source.slice(0, start) + text + source.slice(end)
}
