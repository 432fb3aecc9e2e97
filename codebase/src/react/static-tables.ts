import ts from 'typescript'

/** The objects that a component has under a name of its own, as its class and its file set them: `Tag.propTypes = {}`. */
export const staticTables = (
  symbol: ts.Symbol,
  component: string,
  name: string,
): readonly ts.ObjectLiteralExpression[] => {
  const [declaration] = symbol.declarations ?? []
  if (!declaration) return []
  const members = ts.isClassDeclaration(declaration) ? [...declaration.members] : []
  const inside = members.flatMap((member) =>
    ts.isPropertyDeclaration(member) && member.name.getText() === name
      ? (member.initializer ?? [])
      : [],
  )
  const beside = declaration.getSourceFile().statements.flatMap((statement) => {
    if (!ts.isExpressionStatement(statement) || !ts.isBinaryExpression(statement.expression))
      return []
    const { left, right } = statement.expression
    return left.getText() === `${component}.${name}` ? right : []
  })
  return [...inside, ...beside].filter(ts.isObjectLiteralExpression)
}
