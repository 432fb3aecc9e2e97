import type { CodeProp, CodeType } from '@unimorph/core'
import ts from 'typescript'
import type { FoundComponent } from '../found.js'
import { nameOfTag } from '../name.js'
import { eventNamed, slotNamed } from '../props.js'

/** `'a' | 'b'`, `boolean`: types as comments and manifests say them. */
export const typeFromWords = (said: string): CodeType => {
  const text = said.trim()
  const parts = text
    .split('|')
    .map((part) => part.trim())
    .filter((part) => !['undefined', 'null', ''].includes(part))
  const options = parts.flatMap((part) => /^(['"])(.*)\1$/.exec(part)?.[2] ?? [])
  if (options.length > 0) {
    const isOpen = parts.includes('string')
    return { kind: 'choice', text, options, ...(isOpen ? { isOpen } : {}) }
  }
  if (parts.includes('string')) return { kind: 'string', text }
  if (parts.includes('number')) return { kind: 'number', text }
  if (parts.includes('boolean')) return { kind: 'boolean', text }
  return { kind: 'other', text }
}

/**
 * What a comment says of attributes, slots and events, in the tags that are usual for that. `@param` is what a partial is given;
 * at a class it is about code.
 */
export const saidBy = (comment: string, isOfPartial = false): readonly CodeProp[] => {
  const lines = comment.replace(/^\s*\*\s?/gm, '').split('\n')
  return lines.flatMap((line): CodeProp[] => {
    const [, tag, type, name, about] =
      /^\s*@(attr|attribute|param|slot|fires|event)\s+(?:\{([^}]*)\}\s*)?(\[?[\w:-]+(?:=[^\]]*)?\]?|-)?\s*(?:-\s*)?(.*)$/.exec(
        line,
      ) ?? []
    if (tag === undefined || (tag === 'param' && !isOfPartial)) return []
    const words = about?.trim()
    const common = words ? { about: words } : {}
    if (tag === 'slot') {
      const own = name === undefined || name === '-' ? 'default' : name
      return [{ ...slotNamed(own), ...common }]
    }
    if (name === undefined) return []
    if (tag === 'fires' || tag === 'event') return [{ ...eventNamed(name, 'Event'), ...common }]
    const [, bare, standard] = /^\[?([\w:-]+)(?:=([^\]]*))?\]?$/.exec(name) ?? []
    return [
      {
        name: bare!,
        type: typeFromWords(type ?? 'string'),
        as: 'prop',
        isRequired: tag === 'param' && bare === name,
        ...(standard === undefined ? {} : { standard: standard.replace(/^['"]|['"]$/g, '') }),
        ...common,
      },
    ]
  })
}

const observed = (node: ts.ClassLikeDeclaration): readonly string[] => {
  for (const member of node.members) {
    if (member.name?.getText() !== 'observedAttributes') continue
    const names = [...member.getText().matchAll(/['"]([\w:-]+)['"]/g)].map(([, name]) => name!)
    return names
  }
  return []
}

const slotsIn = (node: ts.Node): readonly CodeProp[] => {
  const found = [...node.getText().matchAll(/<slot\b([^>]*)>/g)].map(
    ([, attributes]) => /name=\\?["']([\w-]+)/.exec(attributes!)?.[1] ?? 'default',
  )
  return [...new Set(found)].map((name) => slotNamed(name))
}

/** Custom elements that a module defines. */
export const readElements = (path: string, module: ts.SourceFile): readonly FoundComponent[] => {
  const classes = new Map<string, ts.ClassDeclaration>()
  const defined: { tag: string; node: ts.ClassLikeDeclaration; name: string | undefined }[] = []
  const look = (node: ts.Node): void => {
    if (ts.isClassDeclaration(node) && node.name) classes.set(node.name.text, node)
    if (
      ts.isCallExpression(node) &&
      /^(window\.|globalThis\.)?customElements\.define$/.test(node.expression.getText())
    ) {
      const [tag, made] = node.arguments
      if (tag && ts.isStringLiteralLike(tag) && /^[a-z][\w.]*-[\w.-]*$/.test(tag.text) && made) {
        const known = ts.isClassExpression(made) ? made : classes.get(made.getText())
        if (known) defined.push({ tag: tag.text, node: known, name: known.name?.text })
      }
    }
    ts.forEachChild(node, look)
  }
  look(module)
  return defined.map(({ tag, node, name }): FoundComponent => {
    const comment = module.text.slice(node.getFullStart(), node.getStart())
    const said = saidBy(comment)
    const known = new Set(said.map((prop) => `${prop.as} ${prop.name}`))
    const others = [
      ...observed(node).map((attribute): CodeProp => ({
        name: attribute,
        type: { kind: 'string', text: 'string' },
        as: 'prop',
        isRequired: false,
      })),
      ...slotsIn(node),
    ].filter((prop) => !known.has(`${prop.as} ${prop.name}`))
    return {
      name: name ?? nameOfTag(tag),
      framework: 'html',
      path,
      exported: tag,
      selector: tag,
      props: [...said, ...others],
      placedBy: 'class',
    }
  })
}
