import ts from 'typescript'

/** What a symbol stands for, where it was imported or passed on; else itself. */
export const withoutAlias = (symbol: ts.Symbol, checker: ts.TypeChecker): ts.Symbol =>
  (symbol.flags & ts.SymbolFlags.Alias) !== 0 ? checker.getAliasedSymbol(symbol) : symbol
