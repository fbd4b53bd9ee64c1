import ts from 'typescript'

/** One small wrong turn in a file: what stood there, what stands there instead. */
export interface Mutant {
  file: string
  line: number
  was: string
  is: string
  /** Only whether the bound itself belongs: with figures that are measured, hardly a case can tell. Counted by itself. */
  edge: boolean
}

const swapped: Partial<Record<ts.SyntaxKind, ts.BinaryOperator>> = {
  [ts.SyntaxKind.LessThanToken]: ts.SyntaxKind.GreaterThanToken,
  [ts.SyntaxKind.LessThanEqualsToken]: ts.SyntaxKind.GreaterThanEqualsToken,
  [ts.SyntaxKind.GreaterThanToken]: ts.SyntaxKind.LessThanToken,
  [ts.SyntaxKind.GreaterThanEqualsToken]: ts.SyntaxKind.LessThanEqualsToken,
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: ts.SyntaxKind.ExclamationEqualsEqualsToken,
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: ts.SyntaxKind.EqualsEqualsEqualsToken,
  [ts.SyntaxKind.AmpersandAmpersandToken]: ts.SyntaxKind.BarBarToken,
  [ts.SyntaxKind.BarBarToken]: ts.SyntaxKind.AmpersandAmpersandToken,
}
const edges: Partial<Record<ts.SyntaxKind, ts.BinaryOperator>> = {
  [ts.SyntaxKind.LessThanToken]: ts.SyntaxKind.LessThanEqualsToken,
  [ts.SyntaxKind.LessThanEqualsToken]: ts.SyntaxKind.LessThanToken,
  [ts.SyntaxKind.GreaterThanToken]: ts.SyntaxKind.GreaterThanEqualsToken,
  [ts.SyntaxKind.GreaterThanEqualsToken]: ts.SyntaxKind.GreaterThanToken,
}
const swappedCalls = new Map(Object.entries({ max: 'min', min: 'max', some: 'every', every: 'some', find: 'findLast', findLast: 'find' }))

const { factory: f } = ts

/**
 * A file with a switch at each place where a wrong turn may be taken: comparisons and extremes swapped, bounds moved in or out, conditions dropped,
 * lists emptied, denials forgotten. Types, and lists of words alone, are let be. A switch asks `wrongTurn(n)`; `put` is told of each turn and numbers
 * it.
 */
export function switched(file: string, code: string, put: (mutant: Mutant) => number): string {
  const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true)
  const textOf = (node: ts.Node) => code.slice(node.getStart(source), node.end)
  const asked = (node: ts.Node, is: string, edge = false) => {
    const line = source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1
    const number = put({ file, line, was: textOf(node), is, edge })
    return f.createCallExpression(f.createIdentifier('wrongTurn'), undefined, [f.createNumericLiteral(number)])
  }
  const either = (question: ts.Expression, wrong: ts.Expression, right: ts.Expression) =>
    f.createParenthesizedExpression(f.createConditionalExpression(question, undefined, wrong, undefined, right))

  const transformer: ts.TransformerFactory<ts.SourceFile> = context => {
    const condition = (was: ts.Expression) =>
      either(asked(was, 'true'), f.createTrue(), either(asked(was, 'false'), f.createFalse(), ts.visitNode(was, visit) as ts.Expression))
    const visit = (node: ts.Node): ts.Node => {
      if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node) || ts.isImportDeclaration(node)) return node
      if (ts.isIfStatement(node))
        return f.updateIfStatement(
          node,
          condition(node.expression),
          ts.visitNode(node.thenStatement, visit) as ts.Statement,
          ts.visitNode(node.elseStatement, visit) as ts.Statement | undefined,
        )
      if (ts.isConditionalExpression(node))
        return f.createParenthesizedExpression(
          f.createConditionalExpression(
            condition(node.condition),
            undefined,
            ts.visitNode(node.whenTrue, visit) as ts.Expression,
            undefined,
            ts.visitNode(node.whenFalse, visit) as ts.Expression,
          ),
        )
      const right = ts.visitEachChild(node, visit, context)
      if (ts.isBinaryExpression(node)) {
        const instead = (is: ts.BinaryOperator | undefined, edge: boolean, or: ts.Expression) => {
          if (!is) return or
          const wrong = f.createParenthesizedExpression(f.createBinaryExpression(node.left, is, node.right))
          return either(asked(node, `… ${ts.tokenToString(is)} …`, edge), wrong, or)
        }
        return instead(swapped[node.operatorToken.kind], false, instead(edges[node.operatorToken.kind], true, right as ts.Expression))
      }
      if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
        return either(asked(node, textOf(node.operand)), node.operand, right as ts.Expression)
      if (ts.isCallExpression(node) && ts.isCallExpression(right) && ts.isPropertyAccessExpression(node.expression)) {
        const called = right.expression as ts.PropertyAccessExpression
        const { text } = node.expression.name
        const is = swappedCalls.get(text)
        if (is) {
          const name = either(asked(node.expression.name, is), f.createStringLiteral(is), f.createStringLiteral(text))
          const wrong = f.createElementAccessChain(called.expression, called.questionDotToken, name)
          return f.createCallChain(wrong, right.questionDotToken, undefined, right.arguments)
        }
        if (text === 'filter' && right.arguments.length === 1) {
          const all = f.createArrowFunction(undefined, undefined, [], undefined, undefined, f.createTrue())
          const kept = either(asked(node.arguments[0]!, '() => true'), all, right.arguments[0]!)
          return f.createCallChain(called, right.questionDotToken, undefined, [kept])
        }
      }
      // A list of what was found; names of sources and steps are let be, and what is taken apart is no list.
      const assigned = ts.isBinaryExpression(node.parent) && node.parent.operatorToken.kind === ts.SyntaxKind.EqualsToken && node.parent.left === node
      if (ts.isArrayLiteralExpression(node) && !assigned && node.elements.some(e => !ts.isStringLiteralLike(e)))
        return either(asked(node, '[]'), f.createArrayLiteralExpression([]), right as ts.Expression)
      return right
    }
    return tree => ts.visitEachChild(tree, visit, context)
  }
  const { transformed } = ts.transform(source, [transformer])
  return ts.createPrinter().printFile(transformed[0]!)
}
