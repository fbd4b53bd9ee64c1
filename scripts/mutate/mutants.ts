import ts from 'typescript'

/** One small wrong turn in a file: what stood there, what stands there instead. */
export interface Mutant {
  line: number
  was: string
  is: string
  start: number
  end: number
}

const swapped: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.LessThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '<',
  [ts.SyntaxKind.GreaterThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '>',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
}
const swappedCalls: Record<string, string> = { max: 'min', min: 'max', some: 'every', every: 'some', find: 'findLast', findLast: 'find' }

/** Every mutant of a file: comparisons and extremes swapped, conditions dropped, lists emptied, denials forgotten. Types and words are let be. */
export function mutantsOf(file: string, code: string): Mutant[] {
  const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true)
  const found: Mutant[] = []
  const put = (node: { getStart(): number; end: number }, is: string) => {
    const start = node.getStart()
    found.push({ line: source.getLineAndCharacterOfPosition(start).line + 1, was: code.slice(start, node.end), is, start, end: node.end })
  }
  const visit = (node: ts.Node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node) || ts.isImportDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const is = swapped[node.operatorToken.kind]
      if (is) put(node.operatorToken, is)
    }
    if (ts.isConditionalExpression(node) || ts.isIfStatement(node)) {
      const condition = ts.isIfStatement(node) ? node.expression : node.condition
      put(condition, 'true')
      put(condition, 'false')
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) put(node, node.operand.getText())
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent) && node.parent.expression === node) {
      const is = swappedCalls[node.name.text]
      if (is) put(node.name, is)
      if (node.name.text === 'filter' && node.parent.arguments.length === 1) put(node.parent.arguments[0]!, '() => true')
    }
    // A list of what was found; of names, sources and steps alike.
    if (ts.isArrayLiteralExpression(node) && node.elements.length && !ts.isBindingName(node.parent)) put(node, '[]')
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

export const withMutant = (code: string, { start, end, is }: Mutant): string => code.slice(0, start) + is + code.slice(end)
